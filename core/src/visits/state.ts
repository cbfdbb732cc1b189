import { z } from "zod";

const instant = z.iso.datetime();

export const place = z.object({
  street: z.string(),
  town: z.string(),
  region: z.string(),
  postcode: z.string(),
  latitude: z.number().nullable(),
  longitude: z.number().nullable(),
});
export type Place = z.infer<typeof place>;

/** One trip to one place at one time by one mechanic, for one or several work orders. */
export const visitState = z.object({
  id: z.string(),
  workOrderIds: z.array(z.string()).min(1),
  mechanicId: z.string(),
  place,
  startsAt: instant,
  endsAt: instant,
  note: z.string(),
  bookedAt: instant,
  setOffAt: instant.nullable(),
  arrivedAt: instant.nullable(),
  leftAt: instant.nullable(),
  cancelledAt: instant.nullable(),
});
export type VisitState = z.infer<typeof visitState>;
