/** Made once: making a format takes far longer than using it. */
const WHOLE = new Intl.NumberFormat("en-US", { maximumFractionDigits: 0 });

/** A whole number with its thousands apart. @example showWhole(12345) //=> "12,345" */
export function showWhole(value: number): string {
  return WHOLE.format(value);
}
