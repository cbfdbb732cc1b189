import type { PartLine } from "@mechanon/core";
import { v5 as uuidOf } from "uuid";
import type { WorkOrderView } from "@mechanon/contract";
import type { Deps, Scope } from "../scope";
import { findWorkOrder, runWorkOrderCommands } from "../workOrders/service";
import { viewWorkOrder } from "../workOrders/view";
import { isNumbered } from "./askSupplier";
import { findSupplier, reachSupplier } from "./suppliers";

/** The namespace of ids that are made from one asking; any fixed UUID would do. */
const TAKEN = "7d1f7f0e-3a92-4a52-9c43-0a3d6a4b8f10";

/** What a device asks for; the same asking sent again is taken once. */
export interface WantedOffers {
  askId: string;
  lineIds: string[];
  /** null: the supplier the business buys from first. */
  supplierId: string | null;
}

/**
 * Prices parts of a quote by what a supplier asks for them today. Quoting is not ordering: nothing is kept there.
 *
 * @returns the work order as it is now, and the lines the supplier has nothing for.
 * @throws {AppError} `parts/no-supplier`, `parts/supplier-unreachable`.
 */
export async function takeOffers(
  deps: Pick<Deps, "config" | "db" | "outside" | "rules">,
  scope: Scope,
  workOrderId: string,
  { askId, lineIds, supplierId }: WantedOffers,
): Promise<{ workOrder: WorkOrderView; without: string[] }> {
  const { db, outside } = deps;
  const { state } = await findWorkOrder(scope, workOrderId);
  const supplier = await findSupplier(db, scope.businessId, supplierId);
  const wanted = state.jobs
    .flatMap(({ lines }) => lines)
    .filter((line): line is PartLine => line.kind === "part" && lineIds.includes(line.id));
  const numbered = wanted.filter(isNumbered);
  const numbers = [...new Set(numbered.map(({ partNumber }) => partNumber))];
  const offers =
    numbers.length === 0
      ? []
      : await reachSupplier(
          () => outside.suppliers.offers(supplier.id, numbers),
          "The quote is unchanged, at the costs it has; ask again in a while.",
        );
  const at = new Date().toISOString();
  const costOf = new Map(
    offers.filter(({ available }) => available > 0).map((offer) => [offer.partNumber, offer.costCents]),
  );
  const sent = numbered.flatMap(({ id: lineId, partNumber }) => {
    const costCents = costOf.get(partNumber);
    if (costCents === undefined) return [];
    const command = { type: "takeOffer" as const, lineId, supplierId: supplier.id, costCents, at };
    return [{ id: uuidOf(`${askId}:${lineId}`, TAKEN), at, command }];
  });
  if (sent.length > 0) await runWorkOrderCommands(deps, scope, workOrderId, sent);
  const priced = new Set(sent.map(({ command }) => command.lineId));
  return {
    workOrder: await viewWorkOrder(deps, scope, workOrderId),
    without: wanted.filter(({ id }) => !priced.has(id)).map(({ id }) => id),
  };
}
