import type { QuoteLine } from "./quoteLine";

/** The greatest amount one of a line has: its rate, price or cost, what is put on top included. */
export function dearestCents(line: QuoteLine): number {
  switch (line.kind) {
    case "labor":
      return line.rateCents;
    case "part":
      return Math.max(line.priceCents ?? 0, line.costCents ?? 0);
    case "sublet":
      return Math.max(line.priceCents ?? 0, (line.costCents ?? 0) * (1 + line.percent / 100));
    default:
      return line.priceCents;
  }
}
