import { roundedDecimal } from "../exact/decimal";
import { earnedPay, type EarnedPay } from "./assigned";
import type { PricedQuote } from "./price/priceQuote";
import type { QuoteSlice } from "./slice";

/** What each person earns with the lines that were priced, those with nobody on them left out. */
export function earnedByPerson({ lines }: Pick<PricedQuote, "lines">, { jobs, rules }: QuoteSlice): EarnedPay[] {
  const netOf = new Map(lines.map(({ id, net }) => [id, net]));
  const sums = new Map<string, EarnedPay>();
  for (const line of jobs.flatMap((job) => job.lines)) {
    const net = netOf.get(line.id);
    if (line.kind !== "labor" || net === undefined) continue;
    for (const { personId, hours, cents } of earnedPay(line, net, rules)) {
      const before = sums.get(personId);
      sums.set(personId, {
        personId,
        hours: Math.round(((before?.hours ?? 0) + hours) * 10_000) / 10_000,
        cents: (before?.cents ?? 0) + cents,
      });
    }
  }
  return [...sums.values()];
}

/** A priced quote whose cost has what the people who do the labor are paid. */
export function withPay(priced: PricedQuote, quote: QuoteSlice): PricedQuote {
  const paid = earnedByPerson(priced, quote).reduce((sum, { cents }) => sum + cents, 0);
  if (paid === 0) return priced;
  const { revenue, cost: before } = priced.profit;
  const cost = before + paid;
  const gross = revenue - cost;
  const marginPercent = revenue === 0 ? null : roundedDecimal(BigInt(gross) * 100n, BigInt(revenue), 1);
  return { ...priced, profit: { revenue, cost, gross, marginPercent } };
}
