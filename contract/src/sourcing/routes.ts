import { PART_KINDS } from "@mechanon/core";
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

/** A part used before: by kind and place, at its last cost, without brand. */
export const usedPart = z.object({
  description: z.string(),
  partKind: z.enum(PART_KINDS),
  /** Places of the car, with commas between; empty: of none. */
  positions: z.string(),
  costCents: z.number().int(),
  /** The day of the work order it was last on. */
  day: z.string(),
});
export type UsedPart = z.infer<typeof usedPart>;

export const sourcingRoutes = {
  usedParts: route({
    method: "get",
    path: "/api/used-parts",
    area: "sourcing",
    rate: { most: 600, minutes: 10 },
    summary: "Parts used before, by the words of their names; none for who may not see cost",
    query: z.object({ words: textField(80) }),
    answer: z.object({ parts: z.array(usedPart) }),
  }),
  takeOffers: route({
    method: "post",
    path: "/api/work-orders/:id/offers",
    area: "sourcing",
    rate: { most: 240, minutes: 10 },
    summary: "Price parts of a quote by what a supplier asks today; the same asking is taken once",
    params: idParams,
    body: z.strictObject({
      askId: idField,
      lineIds: z.array(idField).min(1).max(200),
      /** Left out: the supplier the business buys from first. */
      supplierId: textField(60).min(1).nullish(),
    }),
    answer: z.object({ workOrder: workOrderView, without: z.array(z.string()) }),
  }),
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
