/** A whole number as typed, with commas; null where nothing is typed, NaN where it is none. */
export function wholeNumber(typed: string): number | null {
  const digits = typed.replace(/[,\s]/g, "");
  return digits === "" ? null : /^\d+$/.test(digits) ? Number(digits) : NaN;
}
