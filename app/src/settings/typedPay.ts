import { readMoney, type BusinessSettings, type PersonPay } from "@mechanon/core";
import type { BusinessView } from "@mechanon/contract";
import { z } from "zod";
import { begunFrom } from "./begunFrom";
import { wholeNumber } from "./wholeNumber";

/** By the house's wage, for who has no pay of their own. */
const HOUSE = "house";
const MOST_PERCENT = 100;
const WAYS = [HOUSE, "hour", "credited", "commission"] as const;
export const PAY_CHOICES = [
  { value: HOUSE, label: "The house’s wage" },
  { value: "hour", label: "By the hour there" },
  { value: "credited", label: "By the credited hour" },
  { value: "commission", label: "A share of the labor" },
] as const;

/** How people are paid, as it is typed. */
export const typedPay = z.object({
  base: begunFrom,
  people: z.array(z.object({ personId: z.string(), name: z.string(), by: z.enum(WAYS), figure: z.string() })),
});
export type TypedPay = z.input<typeof typedPay>;

/** What was typed, read. */
export const readPay = z.object({
  base: begunFrom,
  people: z.array(
    typedPay.shape.people.element.transform(({ personId, by, figure }, context): PersonPay | null => {
      if (by === HOUSE) return null;
      const percent = wholeNumber(figure);
      if (by === "commission" && percent !== null && percent <= MOST_PERCENT) return { personId, by, percent };
      const cents = readMoney(figure);
      if (by !== "commission" && cents !== null) return { personId, by, cents };
      const message = by === "commission" ? `a whole number from 0 to ${MOST_PERCENT}` : "an amount looks like 39.00";
      context.addIssue({ code: "custom", path: ["figure"], message });
      return z.NEVER;
    }),
  ),
});

/** How people are paid, as it would be typed: those who do labor, and whoever has pay of their own. */
export function typedPayOf(base: BusinessSettings, people: BusinessView["people"]): TypedPay {
  return {
    base,
    people: people.flatMap(({ id: personId, name, isMechanic }): TypedPay["people"] => {
      const own = base.rules.pay?.find((each) => each.personId === personId);
      if (!own) return isMechanic ? [{ personId, name, by: HOUSE, figure: "" }] : [];
      const figure = own.by === "commission" ? String(own.percent) : (own.cents / 100).toFixed(2);
      return [{ personId, name, by: own.by, figure }];
    }),
  };
}
