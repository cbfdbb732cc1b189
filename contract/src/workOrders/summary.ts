import { z } from "zod";
import { WAITS } from "@mechanon/core";

/** A work order in a list. */
export const workOrderSummary = z
  .object({
    id: z.string(),
    number: z.number().int(),
    /** null: it is not known yet whose it is. */
    customerId: z.string().nullable(),
    customerName: z.string(),
    vehicleName: z.string(),
    plate: z.string().nullable(),
    concerns: z.array(z.string()),
    waitsFor: z.enum(WAITS).nullable(),
    since: z.string(),
    totalCents: z.number().int(),
    dueCents: z.number().int(),
    conflicts: z.number().int(),
    /** What the card terminal was asked to charge and has not said whether it did. */
    unclearCents: z.number().int().default(0),
    /** Concerns nobody answered though the car was looked at. */
    openConcerns: z.number().int().default(0),
    openedAt: z.string(),
    nextVisitAt: z.string().nullable(),
  })
  .meta({ id: "WorkOrderSummary" });
export type WorkOrderSummary = z.infer<typeof workOrderSummary>;
