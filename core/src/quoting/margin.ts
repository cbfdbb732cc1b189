import { exact, fromTenThousandths, roundRatio, roundedDecimal } from "../exact/decimal";
import { amountOf } from "./amountOf";
import { earnedPay } from "./assigned";
import { oncePerQuote } from "./oncePerQuote";
import { priceWorkOrder } from "./priceWorkOrder";
import { explainedWorkOrder } from "./explainedWorkOrder";
import type { QuoteSlice } from "./slice";

/** What is left of a price, in cents. */
export interface Margin {
  revenueCents: number;
  costCents: number;
  leftCents: number;
  /** Of the revenue, rounded to one decimal; null: nothing is sold. */
  percent: number | null;
}

/** Margins of a quote: each line, each job, all of it with supplies. */
export interface Margins {
  lines: ReadonlyMap<string, Margin>;
  jobs: ReadonlyMap<string, Margin>;
  all: Margin;
  /** Hours that are billed. */
  hours: number;
}

/** What is left of each line, job and the whole quote; cores apart, people paid by their own rules. */
export const marginsOf: (quote: QuoteSlice) => Margins = oncePerQuote((quote) => {
  const { lines: explained } = explainedWorkOrder(quote);
  const lines = new Map<string, Margin>();
  const jobs = new Map<string, Margin>();
  let hours = 0n;
  for (const job of quote.jobs) {
    let [revenue, cost] = [0, 0];
    for (const line of job.lines) {
      const { cents = 0, cost: ownCost = 0 } = explained.get(line.id) ?? {};
      if (line.kind === "core") continue;
      if (line.kind === "labor") hours += exact(amountOf(line));
      const paid =
        line.kind === "labor" && line.assigned
          ? earnedPay(line, cents, quote.rules).reduce((sum, each) => sum + each.cents, 0)
          : 0;
      lines.set(line.id, marginOf(cents, ownCost + paid));
      revenue += cents;
      cost += ownCost + paid;
    }
    jobs.set(job.id, marginOf(revenue, cost));
  }
  const { revenue, cost } = priceWorkOrder(quote, "all").profit;
  return { lines, jobs, all: marginOf(revenue, cost), hours: fromTenThousandths(hours) };
});

function marginOf(revenueCents: number, costCents: number): Margin {
  const leftCents = revenueCents - costCents;
  const percent = revenueCents === 0 ? null : roundedDecimal(BigInt(leftCents) * 100n, BigInt(revenueCents), 1);
  return { revenueCents, costCents, leftCents, percent };
}

/**
 * What is left for an hour, the driving counted.
 *
 * @param hours - hours of work.
 * @param driveMinutes - there and back.
 * @returns cents, null where no time is spent.
 */
export function leftPerHourCents(leftCents: number, hours: number, driveMinutes: number): number | null {
  const minutes = exact(hours) * 60n + exact(driveMinutes);
  return minutes <= 0n ? null : Number(roundRatio(BigInt(leftCents) * 60n * 10_000n, minutes));
}

/** Where a margin stands against the owner's target. */
export const MARGIN_STANDINGS = ["loss", "below", "met"] as const;
export type MarginStanding = (typeof MARGIN_STANDINGS)[number];

/** @returns null where nothing was set as a target, or nothing is sold. */
export function marginStanding({ percent }: Margin, targetPercent: number | undefined): MarginStanding | null {
  if (percent === null) return null;
  if (percent < 0) return "loss";
  if (targetPercent === undefined) return null;
  return percent < targetPercent ? "below" : "met";
}
