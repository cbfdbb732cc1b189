import type { WorkOrderState } from "../workOrders/state";
import type { QuoteLine } from "./line";
import type { LineInput, PriceInput } from "./price/input";
import { priceQuote, type PricedQuote } from "./price/priceQuote";

/** The payer every job of this slice is billed to. */
export const CUSTOMER_PAYER = "customer";

/**
 * Prices the jobs of a work order by its own money rules.
 *
 * @param count - `approved` for the jobs whose yes stands, `all` for everything on the quote.
 */
export function priceWorkOrder(
  state: Pick<WorkOrderState, "rules" | "jobs" | "taxExempt">,
  count: "approved" | "all",
): PricedQuote {
  const input: PriceInput = {
    rules: state.rules.pricing,
    payers: [{ id: CUSTOMER_PAYER, taxExempt: state.taxExempt }],
    jobs: state.jobs.map((job) => ({
      id: job.id,
      payer: CUSTOMER_PAYER,
      answer: job.answer?.value === "yes" ? "approved" : (job.answer?.value ?? null),
      lines: job.lines.map(toLineInput),
    })),
    count,
  };
  return priceQuote(input);
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
