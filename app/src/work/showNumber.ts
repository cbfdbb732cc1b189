/** The number of a work order; one that was opened without a signal gets it from the server. */
export function showNumber(number: number): string {
  return number === 0 ? "not numbered yet" : String(number);
}
