import { readMoney, type MoneyRules, type QuoteLine } from "@mechanon/core";
import { readAmount } from "./readAmount";

/** What a person typed for a line of their own. */
export interface NewLineDraft {
  kind: "labor" | "part" | "fee";
  description: string;
  amount: string;
  price: string;
}
export type NewLineFaults = Partial<Record<"description" | "amount" | "price", string>>;

/**
 * A quote line from what was typed.
 * @returns The line, or what does not fit, by field.
 */
export function readNewLine(
  draft: NewLineDraft,
  id: string,
  rules: Pick<MoneyRules, "laborRateCents" | "wageCents">,
): { line: QuoteLine; faults: null } | { line: null; faults: NewLineFaults } {
  const amount = readAmount(draft.amount);
  const price = readMoney(draft.price);
  const faults: NewLineFaults = {};
  if (draft.description.trim() === "") faults.description = "say what it is";
  if (amount === null) faults.amount = "a number like 1 or 1.5";
  if (draft.kind !== "labor" && price === null) faults.price = "an amount looks like 84.50";
  if (amount === null || Object.keys(faults).length > 0) return { line: null, faults };
  const base = { id, description: draft.description.trim() };
  if (draft.kind === "labor")
    return {
      line: {
        ...base,
        kind: "labor",
        hours: amount,
        rateCents: rules.laborRateCents,
        wageCents: rules.wageCents,
        paidHours: null,
      },
      faults: null,
    };
  if (draft.kind === "fee")
    return { line: { ...base, kind: "fee", quantity: amount, priceCents: price ?? 0 }, faults: null };
  return {
    line: {
      ...base,
      kind: "part",
      quantity: amount,
      costCents: null,
      markup: null,
      priceCents: price,
      partNumber: null,
      brand: null,
    },
    faults: null,
  };
}
