import { z } from "zod";
import { idField, idParams, textField } from "../fields";
import { route } from "../route";
import { workOrderView } from "../workOrders/routes";

/** What the supplier offers for one part line. Cost is null for a person who may not see it. */
export const partOffer = z.object({
  lineId: z.string(),
  partNumber: z.string(),
  description: z.string(),
  quantity: z.number(),
  costCents: z.number().int().nullable(),
  quotedCostCents: z.number().int().nullable(),
  /** The cost is not the one the quote was made with. */
  costChanged: z.boolean(),
  available: z.number(),
  readyAt: z.string().nullable(),
});
export type PartOffer = z.infer<typeof partOffer>;

export const sourcingRoutes = {
  askSupplier: route({
    method: "get",
    path: "/api/work-orders/:id/part-offers",
    area: "sourcing",
    rate: { most: 600, minutes: 10 },
    summary: "What the supplier has for the approved parts, at today's cost",
    params: idParams,
    query: z.object({ supplierId: textField(60) }).partial(),
    answer: z.object({ supplierId: z.string(), supplier: z.string(), offers: z.array(partOffer) }),
  }),
  orderParts: route({
    method: "post",
    path: "/api/work-orders/:id/part-orders",
    area: "sourcing",
    rate: { most: 120, minutes: 10 },
    summary: "Order approved parts; the same order id is ordered once",
    params: idParams,
    body: z.strictObject({
      orderId: idField,
      lineIds: z.array(idField).min(1).max(100),
      acceptChangedCost: z.boolean(),
      /** Left out: the supplier the business buys from first. */
      supplierId: textField(60).min(1).nullish(),
    }),
    answer: z.object({ workOrder: workOrderView }),
  }),
};
