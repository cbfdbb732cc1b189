import { z } from "zod";
import { customerSheet } from "../customers/sheet";
import { dayField, idField } from "../fields";
import { route } from "../route";
import { vehicleSheet } from "../vehicles/sheet";
import { dayVisit } from "../visits/dayVisit";
import { workOrderView } from "../workOrders/routes";

const MOST_KNOWN = 500;

/** Of which copy a device has: what of it counts up with each change. */
export const workOrderStamp = z.strictObject({
  revision: z.number().int().min(0),
  customerVersion: z.number().int().min(0),
  vehicleVersion: z.number().int().min(0),
});
export type WorkOrderStamp = z.infer<typeof workOrderStamp>;

export const deviceRoutes = {
  takeAlong: route({
    method: "post",
    path: "/api/device/along",
    area: "device",
    mostBytes: 256 * 1024,
    rate: { most: 60, minutes: 10 },
    summary:
      "What a device takes along: today and tomorrow, with the work orders, customers and cars it does not have yet",
    body: z.strictObject({
      known: z
        .record(idField, workOrderStamp)
        .refine((known) => Object.keys(known).length <= MOST_KNOWN, `at most ${MOST_KNOWN} at once`),
    }),
    answer: z.object({
      days: z.array(z.object({ date: dayField, visits: z.array(dayVisit) })),
      /** Of those days, and of those the device knows, what it has an older copy of or none. */
      workOrders: z.array(workOrderView),
      customers: z.array(customerSheet),
      cars: z.array(vehicleSheet),
      /** Photos of the work orders of those days. */
      photoIds: z.array(z.string()),
    }),
  }),
};

/** Of which copy a work order is. */
export function stampOf({
  revision,
  customer,
  vehicle,
}: Pick<z.infer<typeof workOrderView>, "revision" | "customer" | "vehicle">): WorkOrderStamp {
  return { revision, customerVersion: customer?.version ?? 0, vehicleVersion: vehicle?.version ?? 0 };
}
