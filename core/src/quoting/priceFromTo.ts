import { oncePerQuote } from "./oncePerQuote";
import { priceWorkOrder } from "./priceWorkOrder";
import type { QuoteLine } from "./quoteLine";
import type { QuoteSlice } from "./slice";
import { leastHours } from "./leastHours";
import { askedQuote } from "./totals";

/** The least a quote may come to while not all of the car is known, in cents. */
export interface PriceFrom {
  /** By the id of the job. */
  jobs: ReadonlyMap<string, number>;
  /** Of all that is asked for, with supplies and taxes. */
  totalCents: number;
  /** Whether anything of it is open at all. */
  isOpen: boolean;
}

/** What a quote comes to at least: labor the guide gives from so many hours for what is not known of the car at the least. */
export const priceFromTo: (quote: QuoteSlice) => PriceFrom = oncePerQuote((quote) => {
  const isOpen = quote.jobs.some((job) => job.answer === null && job.lines.some((line) => leastOf(line) !== line));
  const least: QuoteSlice = isOpen
    ? { ...quote, jobs: quote.jobs.map((job) => (job.answer ? job : { ...job, lines: job.lines.map(leastOf) })) }
    : quote;
  return {
    jobs: new Map(priceWorkOrder(least, "all").jobs.map(({ id, total }) => [id, total])),
    totalCents: priceWorkOrder(askedQuote(least), "all").total,
    isOpen,
  };
});

function leastOf(line: QuoteLine): QuoteLine {
  if (line.kind !== "labor") return line;
  const hours = leastHours(line);
  return hours < line.hours ? { ...line, hours } : line;
}
