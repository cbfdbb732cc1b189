import { z } from "zod";
import { message } from "../messages/message";
import { vehicle } from "../vehicles/vehicle";
import { workOrderSummary } from "../workOrders/summary";
import { customer } from "./customer";

/** A visit in a customer's list. */
export const customerVisit = z.object({
  id: z.string(),
  workOrderId: z.string(),
  startsAt: z.string(),
  mechanicName: z.string(),
  street: z.string(),
  vehicleName: z.string(),
  cancelled: z.boolean(),
});
export type CustomerVisit = z.infer<typeof customerVisit>;

/** Work a customer put off. */
export const laterJob = z.object({
  workOrderId: z.string(),
  jobId: z.string(),
  title: z.string(),
  vehicleName: z.string(),
  totalCents: z.number().int(),
  at: z.string(),
});

/** Two records that became one, while it can be undone. */
export const mergeDone = z.object({
  id: z.string(),
  mergedName: z.string(),
  at: z.string(),
  by: z.string(),
  undoUntil: z.string(),
});

/** A customer with all that hangs on them. */
export const customerSheet = z.object({
  customer,
  vehicles: z.array(vehicle),
  /** Cars of others that they drive, or are otherwise linked to. */
  drives: z.array(z.object({ vehicle, ownerName: z.string(), role: z.string() })),
  openWork: z.array(workOrderSummary),
  comingVisits: z.array(customerVisit),
  lastVisits: z.array(customerVisit),
  owedCents: z.number().int(),
  later: z.array(laterJob),
  messages: z.array(message),
  /** Work that is over, newest first: the first page, and how much there is. */
  pastWork: z.array(workOrderSummary),
  pastWorkCount: z.number().int(),
  merges: z.array(mergeDone),
});
export type CustomerSheetView = z.infer<typeof customerSheet>;
