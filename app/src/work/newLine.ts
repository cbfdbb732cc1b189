import { readMoney, type MoneyRules, type QuoteLine } from "@mechanon/core";
import { z } from "zod";
import { readAmount } from "./readAmount";

/** A line of a quote as it is typed by hand; labor goes by the hour at the business's rate and has no price of its own. */
export const typedLine = z
  .object({
    kind: z.enum(["labor", "part", "fee"]),
    description: z.string().trim().min(1, "say what it is"),
    amount: z.string().transform(readAmount).pipe(z.number("a number like 1 or 1.5")),
    price: z.string().transform(readMoney),
  })
  .refine(({ kind, price }) => kind === "labor" || price !== null, {
    path: ["price"],
    message: "an amount looks like 84.50",
  });

/** A quote line from what was typed. */
export function lineOf(
  { kind, description, amount, price }: z.output<typeof typedLine>,
  id: string,
  rules: Pick<MoneyRules, "laborRateCents" | "wageCents">,
): QuoteLine {
  const base = { id, description };
  if (kind === "labor")
    return {
      ...base,
      kind: "labor",
      hours: amount,
      rateCents: rules.laborRateCents,
      wageCents: rules.wageCents,
      paidHours: null,
    };
  if (kind === "fee") return { ...base, kind: "fee", quantity: amount, priceCents: price ?? 0 };
  return {
    ...base,
    kind: "part",
    quantity: amount,
    costCents: null,
    markup: null,
    priceCents: price,
    partNumber: null,
    brand: null,
  };
}
