import { oncePerQuote } from "./oncePerQuote";
import { isOnPaper } from "./paperWords";
import { NO_CREDITS, toPriceInput } from "./priceWorkOrder";
import { sumNets, workThrough } from "./price/workThrough";
import type { PartLine } from "./quoteLine";
import type { QuoteSlice } from "./slice";

/** What jobs and lines come to by themselves, in cents, by their ids. */
export interface OwnPrices {
  /** Each job with its own discount, without what is taken off the whole quote or for a diagnosis. */
  jobs: ReadonlyMap<string, number>;
  /** Each line with its own discount and its share of a set price, before the discount of its job. */
  lines: ReadonlyMap<string, number>;
}

/**
 * What every job comes to whatever is answered on the others: a discount of the whole quote and a credited diagnosis are
 * shared anew with each answer, so they stand by themselves in the sum.
 */
export const ownPrices: (quote: QuoteSlice) => OwnPrices = oncePerQuote((quote) => {
  const { jobs } = workThrough(toPriceInput({ ...quote, discounts: [] }, "all", NO_CREDITS));
  return {
    jobs: new Map(jobs.map(({ input, lines }) => [input.id, Number(sumNets(lines))])),
    lines: new Map(
      jobs.flatMap(({ lines }) =>
        lines.map(({ input, net, taken }) => {
          const ofJob = taken.filter(({ by }) => by === "job").reduce((sum, { cents }) => sum + cents, 0n);
          return [input.id, Number(net + ofJob)] as const;
        }),
      ),
    ),
  };
});

/** What of a job a yes is for: its own price, who pays, and which parts in which condition. */
export interface SeenOfJob {
  cents: number;
  /** Null: the customer. */
  payerId: string | null;
  parts: string[];
}

/** What of a job stands on the customer's paper now; null: it is not on the quote. */
export function seenNow(quote: QuoteSlice, jobId: string): SeenOfJob | null {
  const job = quote.jobs.find(({ id }) => id === jobId);
  if (!job) return null;
  const parts = job.lines.flatMap((line) => (line.kind === "part" && isOnPaper(line) ? [line] : []));
  return {
    cents: ownPrices(quote).jobs.get(jobId) ?? 0,
    payerId: job.payerId ?? null,
    parts: parts.map(partSeen).sort(),
  };
}

/** A part as it is told apart by what the customer was promised: what it is, and that it is new, rebuilt, used or theirs. */
function partSeen({ description, condition = "new", isCustomers }: PartLine): string {
  if (isCustomers) return `${description}, customer’s own`;
  return condition === "new" ? description : `${description}, ${condition}`;
}
