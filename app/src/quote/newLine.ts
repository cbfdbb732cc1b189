import { readMoney, standingTable, type MoneyRules, type NewLine } from "@mechanon/core";
import { z } from "zod";
import { readAmount } from "./readAmount";

const AMOUNT = "an amount looks like 84.50";

/** A line of a quote as it is typed by hand; labor goes by the hour at the business's rate and has no price of its own. */
export const typedLine = z
  .object({
    kind: z.enum(["labor", "part", "fee", "sublet", "core"]),
    description: z.string().trim().min(1, "say what it is"),
    amount: z.string().transform(readAmount).pipe(z.number("a number like 1 or 1.5")),
    /** Of work bought in the percent on top. */
    price: z.string().trim(),
    cost: z.string().trim(),
  })
  .superRefine(({ kind, price, cost }, context) => {
    const fault = (path: string, message: string): void => context.addIssue({ code: "custom", path: [path], message });
    if (kind === "labor") return;
    if (kind === "sublet") {
      if (readMoney(cost) === null) fault("cost", AMOUNT);
      if (price !== "" && readAmount(price) === null) fault("price", "a number like 20 or 12.5");
      return;
    }
    const isByTable = kind === "part" && price === "" && cost !== "";
    if (kind === "part" && cost !== "" && readMoney(cost) === null) fault("cost", AMOUNT);
    if (!isByTable && readMoney(price) === null) fault("price", AMOUNT);
  });

/** A quote line from what was typed; a part with a cost and no price goes by the table that stands for it. */
export function lineOf(
  { kind, description, amount, price, cost }: z.output<typeof typedLine>,
  id: string,
  rules: Pick<MoneyRules, "laborRateCents" | "wageCents" | "markupTables" | "pricing">,
): NewLine {
  const base = { id, description };
  const priceCents = readMoney(price);
  switch (kind) {
    case "labor":
      return {
        ...base,
        kind,
        hours: amount,
        rateCents: rules.laborRateCents,
        wageCents: rules.wageCents,
        paidHours: null,
      };
    case "fee":
    case "core":
      return { ...base, kind, quantity: amount, priceCents: priceCents ?? 0 };
    case "sublet":
      return { ...base, kind, costCents: readMoney(cost) ?? 0, percent: readAmount(price) ?? 0, priceCents: null };
    case "part": {
      const costCents = cost === "" ? null : readMoney(cost);
      return {
        ...base,
        kind,
        quantity: amount,
        costCents,
        markup: costCents === null ? null : standingTable(rules, {}),
        priceCents,
        partNumber: null,
        brand: null,
      };
    }
  }
}
