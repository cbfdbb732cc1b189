import { approvedParts, hasRight, type PartLine } from "@mechanon/core";
import type { PartOffer, WorkOrderView } from "@mechanon/contract";
import { PartOrder } from "../db/models";
import { AppError } from "../http/errors";
import { OutsideError } from "../outside/http";
import type { OrderAnswer, SupplierOffer } from "../outside/outside";
import type { Deps, Scope } from "../scope";
import { findWorkOrder, runWorkOrderCommand } from "../workOrders/service";
import { viewWorkOrder } from "../workOrders/view";

type NumberedPart = PartLine & { partNumber: string };

/** What the supplier has for the approved parts that are still to be bought. */
export async function askSupplier(
  { outside }: Pick<Deps, "outside">,
  scope: Scope,
  workOrderId: string,
): Promise<{ supplier: string; offers: PartOffer[] }> {
  const { state } = await findWorkOrder(scope, workOrderId);
  const lines = approvedParts(state, "needed").filter(isNumbered);
  const { supplier, offers } = await reach(() => outside.supplier.offers(lines.map(({ partNumber }) => partNumber)));
  const seesCost = hasRight(scope.actor, "seeCost");
  return {
    supplier,
    offers: lines.flatMap((line) => {
      const offer = offers.find(({ partNumber }) => partNumber === line.partNumber);
      if (!offer) return [];
      return [
        {
          lineId: line.id,
          partNumber: line.partNumber,
          description: line.description,
          quantity: line.quantity,
          costCents: seesCost ? offer.costCents : null,
          quotedCostCents: seesCost ? line.costCents : null,
          costChanged: line.costCents !== offer.costCents,
          available: offer.available,
          readyAt: offer.readyAt,
        },
      ];
    }),
  };
}

/**
 * Orders approved parts. The order id makes it safe to ask again: the supplier fills it once, and it is recorded once.
 *
 * @throws {AppError} `parts/supplier-unreachable` when nobody answers, `parts/supplier-refused` when it says no,
 *   `parts/offer-changed` when the cost rose and that was not accepted.
 */
export async function orderParts(
  deps: Deps,
  scope: Scope,
  workOrderId: string,
  body: { orderId: string; lineIds: string[]; acceptChangedCost: boolean },
): Promise<WorkOrderView> {
  const { businessId } = scope;
  const { state } = await findWorkOrder(scope, workOrderId);
  const before = await PartOrder.findOne({ where: { businessId, id: body.orderId } });
  if (before?.status === "confirmed") return viewWorkOrder(scope, workOrderId);
  const items =
    before?.status === "asked"
      ? before.items
      : await itemsAtTodaysCost(
          deps,
          approvedParts(state, "needed")
            .filter((line) => body.lineIds.includes(line.id))
            .filter(isNumbered),
          body,
        );
  await PartOrder.upsert({ businessId, id: body.orderId, workOrderId, items, status: "asked" });
  const answer = await reach(() =>
    deps.outside.supplier.order(
      body.orderId,
      items.map(({ partNumber, quantity, costCents }) => ({ partNumber, quantity, costCents })),
    ),
  );
  if (answer.outcome === "refused") {
    await PartOrder.update({ status: "refused" }, { where: { businessId, id: body.orderId } });
    throw refusal(
      answer,
      items.map((item) => item.partNumber),
    );
  }
  await runWorkOrderCommand(deps, scope, workOrderId, {
    // The order's own id: recording it again finds it recorded.
    id: body.orderId,
    at: new Date().toISOString(),
    command: {
      type: "recordPartsOrder",
      orderId: body.orderId,
      supplier: answer.supplier,
      orderNumber: answer.orderNumber,
      readyAt: answer.readyAt,
      items,
    },
  });
  await PartOrder.update({ status: "confirmed" }, { where: { businessId, id: body.orderId } });
  return viewWorkOrder(scope, workOrderId);
}

type OrderItem = PartOrder["items"][number];

async function itemsAtTodaysCost(
  { outside }: Deps,
  lines: NumberedPart[],
  { acceptChangedCost }: { acceptChangedCost: boolean },
): Promise<OrderItem[]> {
  if (lines.length === 0)
    throw new AppError(
      "parts/nothing-to-order",
      "None of these parts is still to be ordered. Nothing was ordered; look at the parts again.",
    );
  const { offers } = await reach(() => outside.supplier.offers(lines.map(({ partNumber }) => partNumber)));
  const offerFor = (line: NumberedPart): SupplierOffer | undefined =>
    offers.find(({ partNumber }) => partNumber === line.partNumber);
  const absent = lines.filter((line) => !offerFor(line));
  if (absent.length > 0)
    throw new AppError(
      "parts/supplier-refused",
      `The supplier does not carry ${absent.map(({ description }) => description).join(", ")}. Nothing was ordered; leave it out or buy it elsewhere.`,
    );
  const changed = lines.filter((line) => offerFor(line)?.costCents !== line.costCents);
  if (changed.length > 0 && !acceptChangedCost)
    throw new AppError(
      "parts/offer-changed",
      `The cost of ${changed.map(({ description }) => description).join(", ")} is not the one the quote was made with. Nothing was ordered; look at the new cost and order again.`,
    );
  return lines.map((line) => ({
    lineId: line.id,
    partNumber: line.partNumber,
    quantity: line.quantity,
    costCents: offerFor(line)?.costCents ?? 0,
  }));
}

function refusal(answer: Extract<OrderAnswer, { outcome: "refused" }>, ordered: string[]): AppError {
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

async function reach<T>(ask: () => Promise<T>): Promise<T> {
  try {
    return await ask();
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "parts/supplier-unreachable",
        "The supplier does not answer. The work order is unchanged; order again in a while, it will not be ordered twice.",
        {
          cause: error,
          retryAfterSeconds: 30,
        },
      );
    throw error;
  }
}

function isNumbered(line: PartLine): line is NumberedPart {
  return line.partNumber !== null;
}
