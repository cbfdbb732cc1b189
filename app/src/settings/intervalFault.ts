import { wholeNumber } from "./wholeNumber";

const BOUNDS = {
  miles: { least: 100, most: 500_000, words: "whole miles from 100 to 500,000, or empty" },
  months: { least: 1, most: 240, words: "whole months from 1 to 240, or empty" },
} as const;

/** What is wrong with how often something is due, as typed; null: nothing. */
export function intervalFault(unit: keyof typeof BOUNDS, typed: string): string | null {
  const { least, most, words } = BOUNDS[unit];
  const value = wholeNumber(typed);
  return value === null || (Number.isInteger(value) && value >= least && value <= most) ? null : words;
}
