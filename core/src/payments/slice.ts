import { z } from "zod";

const cents = z.number().int().nonnegative();

/** Money taken, or a card declined. */
export const payment = z.object({
  id: z.string(),
  at: z.iso.datetime(),
  by: z.string(),
  method: z.enum(["card", "cash"]),
  status: z.enum(["taken", "declined"]),
  amountCents: cents,
  /** Cash only: what was handed over, so the change is on record. */
  tenderedCents: cents.nullable(),
  card: z.object({ lastFour: z.string(), authorization: z.string() }).nullable(),
  reason: z.string().nullable(),
});
export type Payment = z.infer<typeof payment>;

export const paymentSlice = z.object({ payments: z.array(payment) });
export type PaymentSlice = z.infer<typeof paymentSlice>;
