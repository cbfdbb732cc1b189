import type { QuoteLine } from "./quoteLine";

/** Hours of labor, how many of anything else; work bought in is one piece. */
export function amountOf(line: QuoteLine): number {
  if (line.kind === "labor") return line.hours;
  return line.kind === "sublet" ? 1 : line.quantity;
}

/** As it is read beside the line: `1.3 h`, `2 ×`. */
export function showAmount(line: QuoteLine): string {
  return line.kind === "labor" ? `${line.hours} h` : `${amountOf(line)} ×`;
}
