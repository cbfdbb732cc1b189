import { approvedParts, hasRight, quantityToBuy, type PartLine } from "@mechanon/core";
import type { PartOffer } from "@mechanon/contract";
import type { Deps, Scope } from "../scope";
import { findWorkOrder } from "../workOrders/service";
import { findSupplier, reachSupplier } from "./suppliers";

/** A part that can be asked for by its number. */
export type NumberedPart = PartLine & { partNumber: string };

export function isNumbered(line: PartLine): line is NumberedPart {
  return line.partNumber !== null;
}

/** What a supplier has for the approved parts that are still to be bought. */
export async function askSupplier(
  { db, outside }: Pick<Deps, "db" | "outside">,
  scope: Scope,
  workOrderId: string,
  supplierId: string | null,
): Promise<{ supplierId: string; supplier: string; offers: PartOffer[] }> {
  const { state } = await findWorkOrder(scope, workOrderId);
  const supplier = await findSupplier(db, scope.businessId, supplierId);
  const lines = approvedParts(state, "needed").filter(isNumbered);
  const offers = await reachSupplier(
    () =>
      outside.suppliers.offers(
        supplier.id,
        lines.map(({ partNumber }) => partNumber),
      ),
    "The work order is unchanged; ask again in a while.",
  );
  const seesCost = hasRight(scope.actor, "seeCost");
  return {
    supplierId: supplier.id,
    supplier: supplier.name,
    offers: lines.flatMap((line) => {
      const offer = offers.find(({ partNumber }) => partNumber === line.partNumber);
      if (!offer) return [];
      return [
        {
          lineId: line.id,
          partNumber: line.partNumber,
          description: line.description,
          quantity: quantityToBuy(state, line),
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
