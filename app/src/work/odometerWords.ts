import { showDate, showMiles, type OdometerDoubt } from "@mechanon/core";

/** What is asked of a reading that hardly fits. @example "61,000 mi were read on Nov 26, 2026. Is it 610,000 mi now?" */
export function doubtWords({ why, last }: OdometerDoubt, miles: number, zone: string): string {
  const before = last ? `${showMiles(last.miles)} were read on ${showDate(last.at, zone)}. ` : "";
  if (why === "none") return `${before}Does it really show 0?`;
  if (why === "less") return `${before}${showMiles(miles)} is less. Is it right?`;
  return `${before}Is it ${showMiles(miles)} now?`;
}
