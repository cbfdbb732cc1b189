import { afterAsking } from "../externalRequests/afterAsking";
import { beforeAsking } from "../externalRequests/beforeAsking";
import { approvedParts, quantityToBuy, type WorkOrderState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { CommandDeps } from "../commands/aggregate";
import {
  askedRequests,
  findRequest,
  keyOf,
  type ExternalRequest,
  type RequestedLine,
} from "../externalRequests/externalRequest";
import { recordAnswer } from "../externalRequests/recordAnswer";
import { isCommandId, reserveRequest } from "../externalRequests/reserveRequest";
import { AppError } from "../errors/appError";
import type { OrderAnswer, SupplierOffer } from "../outside/suppliers/port";
import type { Deps, Scope } from "../scope";
import { findWorkOrder } from "../workOrders/service";
import { viewWorkOrder } from "../workOrders/view";
import { isNumbered, type NumberedPart } from "./askSupplier";
import { findSupplier, reachSupplier, type Supplier } from "./suppliers";

/** What a device asks for. */
export interface WantedOrder {
  orderId: string;
  lineIds: string[];
  acceptChangedCost: boolean;
  /** null: the supplier the business buys from first. */
  supplierId: string | null;
}

const NOT_ASKED = "The database does not answer, so nothing was ordered. Order again in a while.";
const UNKNOWN =
  "The supplier was asked, but its answer could not be written down, so it is not known here whether the parts were ordered. It is asked again by itself; the parts are kept for this order, and nothing is ordered twice.";

type OrderDeps = Pick<Deps, "config" | "db" | "outside" | "rules">;

/**
 * Orders approved parts. They are reserved under the work order's lock before anything is sent, so that two people do
 * not order one part twice; the order's id goes with it from the first tap to the last retry. Where the answer is lost
 * the queue asks the supplier until it knows.
 *
 * @throws {AppError} `parts/being-ordered` for parts that are out with another order, `parts/nothing-to-order`,
 *   `parts/offer-changed` when the cost is another and that was not accepted, `parts/supplier-refused`,
 *   `parts/supplier-unreachable` when it is not known what became of it.
 */
export async function orderParts(
  deps: OrderDeps,
  scope: Scope,
  workOrderId: string,
  wanted: WantedOrder,
): Promise<WorkOrderView> {
  const { db, outside } = deps;
  const { businessId } = scope;
  const before = await findRequest(db, businessId, wanted.orderId);
  if (before && before.workOrderId !== workOrderId) throw idReused();
  if (before?.status === "done") return viewWorkOrder(deps, scope, workOrderId);
  const request =
    before?.status === "asked"
      ? before
      : await beforeAsking(NOT_ASKED, () => reserve(deps, scope, workOrderId, wanted));
  const answer = await reachSupplier(
    () =>
      outside.suppliers.order(
        request.supplierId ?? "",
        request.key,
        request.lines.map(({ partNumber, quantity, costCents }) => ({ partNumber, quantity, costCents })),
      ),
    "The parts are kept for this order, and it is asked by itself what became of it; nothing is ordered twice.",
  );
  await afterAsking(UNKNOWN, () => recordOrderAnswer(deps, businessId, request, answer));
  if (answer.outcome !== "confirmed") throw refusal(answer, request.lines);
  return viewWorkOrder(deps, scope, workOrderId);
}

/** Asks the supplier what became of an order whose answer was lost, and records it. */
export async function settleOrder(
  deps: Pick<Deps, "db" | "outside" | "rules" | "config">,
  businessId: string,
  request: ExternalRequest,
): Promise<void> {
  const answer = await deps.outside.suppliers.settle(request.supplierId ?? "", request.key);
  await recordOrderAnswer(deps, businessId, request, answer);
}

async function recordOrderAnswer(
  deps: CommandDeps,
  businessId: string,
  request: ExternalRequest,
  answer: OrderAnswer,
): Promise<void> {
  if (answer.outcome !== "confirmed") {
    const status = answer.outcome === "withdrawn" ? "lapsed" : "refused";
    return recordAnswer(deps, businessId, request, { status, answer, command: null });
  }
  const supplier = await findSupplier(deps.db, businessId, request.supplierId);
  const { orderNumber, readyAt } = answer;
  await recordAnswer(deps, businessId, request, {
    status: "done",
    answer,
    command: {
      type: "recordPartsOrder",
      orderId: request.id,
      supplierId: supplier.id,
      supplier: supplier.name,
      orderNumber,
      readyAt,
      items: request.lines,
    },
  });
}

/** Writes the order down before it leaves; the offers are asked for first, since nobody waits for them under a lock. */
async function reserve(
  deps: OrderDeps,
  scope: Scope,
  workOrderId: string,
  wanted: WantedOrder,
): Promise<ExternalRequest> {
  const { db, config } = deps;
  const { businessId, actor } = scope;
  const supplier = await findSupplier(db, businessId, wanted.supplierId);
  const { state } = await findWorkOrder(scope, workOrderId);
  const offers = await offersFor(deps, supplier, stillToBuy(state, wanted.lineIds));
  return db.transaction(async (transaction) => {
    const { state: now } = await findWorkOrder(scope, workOrderId, transaction, "locked");
    const known = await findRequest(db, businessId, wanted.orderId, transaction);
    if (known && (known.workOrderId !== workOrderId || known.kind !== "partsOrder")) throw idReused();
    // Two sendings of one order at once: the second waited for the lock, and goes on with what the first reserved.
    if (known?.status === "asked" || known?.status === "done") return known;
    if (!known && (await isCommandId(db, businessId, wanted.orderId, transaction))) throw idReused();
    const out = await askedRequests(db, businessId, workOrderId, transaction);
    const taken = new Set(out.flatMap(({ lineIds }) => lineIds));
    const lines = stillToBuy(now, wanted.lineIds);
    const open = lines.filter(({ id }) => !taken.has(id));
    if (open.length < lines.length)
      throw new AppError(
        "parts/being-ordered",
        "These parts are out with another order, and the supplier has not confirmed it yet. Nothing was ordered twice; it shows here as soon as the supplier says what became of it.",
      );
    const requested = pricedLines(now, open, offers, wanted.acceptChangedCost);
    const request = {
      id: wanted.orderId,
      kind: "partsOrder" as const,
      key: keyOf(businessId, wanted.orderId),
      workOrderId,
      supplierId: supplier.id,
      amountCents: null,
      personId: actor.id,
      lines: requested,
    };
    await reserveRequest(db, businessId, request, config.settleAfterMs, transaction);
    return { ...request, status: "asked", askedAt: new Date().toISOString() };
  });
}

function stillToBuy(state: WorkOrderState, lineIds: readonly string[]): NumberedPart[] {
  return approvedParts(state, "needed")
    .filter(({ id }) => lineIds.includes(id))
    .filter(isNumbered);
}

async function offersFor({ outside }: OrderDeps, supplier: Supplier, lines: NumberedPart[]): Promise<SupplierOffer[]> {
  if (lines.length === 0) throw nothingToOrder();
  return reachSupplier(
    () =>
      outside.suppliers.offers(
        supplier.id,
        lines.map(({ partNumber }) => partNumber),
      ),
    "Nothing was ordered; order again in a while.",
  );
}

function pricedLines(
  state: WorkOrderState,
  lines: readonly NumberedPart[],
  offers: readonly SupplierOffer[],
  acceptChangedCost: boolean,
): RequestedLine[] {
  if (lines.length === 0) throw nothingToOrder();
  const priced = lines.map((line) => ({
    line,
    offer: offers.find(({ partNumber }) => partNumber === line.partNumber),
  }));
  const named = (which: typeof priced): string => which.map(({ line }) => line.description).join(", ");
  const absent = priced.filter(({ offer }) => !offer);
  if (absent.length > 0)
    throw new AppError(
      "parts/supplier-refused",
      `The supplier does not carry ${named(absent)}. Nothing was ordered; leave it out or buy it elsewhere.`,
    );
  const changed = priced.filter(({ line, offer }) => offer?.costCents !== line.costCents);
  if (changed.length > 0 && !acceptChangedCost)
    throw new AppError(
      "parts/offer-changed",
      `The cost of ${named(changed)} is not the one the quote was made with. Nothing was ordered; look at the new cost and order again.`,
    );
  return priced.map(({ line, offer }) => ({
    lineId: line.id,
    partNumber: line.partNumber,
    quantity: quantityToBuy(state, line),
    costCents: offer?.costCents ?? 0,
  }));
}

function nothingToOrder(): AppError {
  return new AppError(
    "parts/nothing-to-order",
    "None of these parts is still to be ordered. Nothing was ordered; look at the parts again.",
  );
}

function idReused(): AppError {
  return new AppError("command/id-reused", "This order id was used for something else. Nothing was ordered.");
}

function refusal(answer: Exclude<OrderAnswer, { outcome: "confirmed" }>, ordered: readonly RequestedLine[]): AppError {
  if (answer.outcome === "withdrawn")
    return new AppError(
      "parts/supplier-refused",
      "This order was given up before it reached the supplier. Nothing was ordered; order again.",
    );
  const rest = ordered.length > 1 ? " Leave it out to order the others." : "";
  return answer.reason === "outOfStock"
    ? new AppError(
        "parts/supplier-refused",
        `The supplier does not have enough of ${answer.partNumber}. Nothing was ordered.${rest}`,
      )
    : new AppError(
        "parts/offer-changed",
        `The supplier has just changed the cost of ${answer.partNumber}. Nothing was ordered; look at the new cost and order again.`,
      );
}
