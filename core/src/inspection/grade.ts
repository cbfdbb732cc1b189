import type { InspectionPoint } from "./point";
import type { Finding, Grade } from "./slice";

/**
 * The grade a measurement speaks for, by the point's limits.
 *
 * @param measured - in the unit of the point's measure.
 * @returns null where the point has no measure.
 * @example
 * gradeFromMeasurement({ measure: { watchBelow: 5, actBelow: 3 } }, 4) //=> "watch"
 */
export function gradeFromMeasurement(point: Pick<InspectionPoint, "measure">, measured: number): Grade | null {
  if (!point.measure) return null;
  if (measured < point.measure.actBelow) return "act";
  return measured < point.measure.watchBelow ? "watch" : "sound";
}

/** The points nobody has graded yet, in the order of the list. */
export function openPoints(points: readonly InspectionPoint[], findings: readonly Finding[]): InspectionPoint[] {
  return points.filter(({ id }) => !findings.some(({ pointId }) => pointId === id));
}
