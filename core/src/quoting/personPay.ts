import { z } from "zod";

const MOST_WAGE_CENTS = 100_000;
const personId = z.string().min(1).max(60);
const cents = z.number().int().nonnegative().max(MOST_WAGE_CENTS);

/** How a person is paid for labor: by the hour of presence, by the credited hour, or by a share of the labor. */
export const personPay = z.discriminatedUnion("by", [
  z.strictObject({ personId, by: z.literal("hour"), cents }),
  z.strictObject({ personId, by: z.literal("credited"), cents }),
  z.strictObject({ personId, by: z.literal("commission"), percent: z.number().int().min(0).max(100) }),
]);
export type PersonPay = z.infer<typeof personPay>;
