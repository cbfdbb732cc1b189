/**
 * A measure as the trade writes it: a fraction of an inch stands at its number, any other unit behind it.
 *
 * @param value - in the unit.
 * @param unit - such as `mm`, `psi`, or `/32 in`.
 * @example showMeasure(3, "/32 in") //=> "3/32 in"
 * @example showMeasure(2.5, "mm") //=> "2.5 mm"
 */
export function showMeasure(value: number, unit: string): string {
  return unit.startsWith("/") ? `${value}${unit}` : `${value} ${unit}`.trim();
}
