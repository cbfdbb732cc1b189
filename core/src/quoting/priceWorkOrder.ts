import type { QuoteLine } from "./line";
import { oncePerQuote } from "./oncePerQuote";
import type { LineInput, PriceInput } from "./price/input";
import { priceQuote, type PricedQuote } from "./price/priceQuote";
import type { QuoteSlice } from "./slice";

/** The payer every job of this slice is billed to. */
export const CUSTOMER_PAYER = "customer";

/**
 * Prices the jobs of a work order by its own money rules; once per state, however often it is asked.
 *
 * @param count - `approved` for the jobs whose yes stands, `all` for everything on the quote.
 */
export function priceWorkOrder(quote: QuoteSlice, count: "approved" | "all"): PricedQuote {
  return PRICED[count](quote);
}

const PRICED = {
  all: oncePerQuote((quote) => priceQuote(toInput(quote, "all"))),
  approved: oncePerQuote((quote) => priceQuote(toInput(quote, "approved"))),
};

function toInput({ rules, taxExempt, jobs }: QuoteSlice, count: "approved" | "all"): PriceInput {
  return {
    rules: rules.pricing,
    payers: [{ id: CUSTOMER_PAYER, taxExempt }],
    jobs: jobs.map(({ id, answer, lines }) => ({
      id,
      payer: CUSTOMER_PAYER,
      answer: answer?.value === "yes" ? "approved" : (answer?.value ?? null),
      lines: lines.map(toLineInput),
    })),
    count,
  };
}

function toLineInput(line: QuoteLine): LineInput {
  switch (line.kind) {
    case "labor":
      return {
        id: line.id,
        kind: "labor",
        hours: line.hours,
        rate: line.rateCents,
        wage: line.wageCents,
        paidHours: line.paidHours,
      };
    case "part":
      return {
        id: line.id,
        kind: "part",
        quantity: line.quantity,
        cost: line.costCents ?? 0,
        markup: line.markup,
        price: line.priceCents,
      };
    case "fee":
      return { id: line.id, kind: "fee", quantity: line.quantity, price: line.priceCents };
    case "core":
      return { id: line.id, kind: "core", quantity: line.quantity, price: line.priceCents };
  }
}
