import { z } from "zod";
import { route } from "../route";
import { customer } from "../customers/customer";
import { vehicle } from "../vehicles/vehicle";
import { workOrderSummary } from "../workOrders/summary";

/** Something of a customer that matched and is not among what a line shows anyway. */
export const foundBy = z.object({
  what: z.enum(["contact", "phone", "email", "street", "vin"]),
  text: z.string(),
});

/** A customer found, with what a line says at a glance. */
export const foundCustomer = z.object({
  customer: customer.pick({
    id: true,
    kind: true,
    name: true,
    knownFrom: true,
    phones: true,
    serviceAddresses: true,
    billingAddress: true,
  }),
  vehicles: z.array(vehicle),
  vehicleCount: z.number().int(),
  openWork: z.array(
    workOrderSummary.pick({ id: true, number: true, waitsFor: true, dueCents: true, vehicleName: true }),
  ),
  foundBy: z.array(foundBy),
  /** Found by a phone, plate, VIN or email with one sign other than typed: somebody else, unless it was mistyped. */
  isNear: z.boolean().default(false),
});
export type FoundCustomer = z.infer<typeof foundCustomer>;

export const found = z.object({
  customers: z.array(foundCustomer),
  workOrders: z.array(workOrderSummary),
  /** Typed words that none of the customers has; they have all the others. */
  oddWords: z.array(z.string()).default([]),
});
export type Found = z.infer<typeof found>;

export const searchRoutes = {
  search: route({
    method: "get",
    path: "/api/search",
    area: "search",
    summary: "Customers by any name, phone, email, street, plate or VIN, and work orders by number; best first",
    // Whatever is typed is looked for: what is no text is in nobody's name.
    query: z.object({ q: z.string().max(500) }),
    answer: found,
  }),
};
