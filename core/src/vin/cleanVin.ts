/**
 * A VIN as it is stored and compared: capital letters, without spaces and dashes of any kind.
 *
 * @param typed - as typed, scanned or pasted.
 * @example
 * cleanVin(" 1hg-cv1f3 4KA000000 ") //=> "1HGCV1F34KA000000"
 */
export function cleanVin(typed: string): string {
  return typed.replace(/[\s\p{Pd}\u2212\u200B-\u200D\uFEFF]/gu, "").toUpperCase();
}
