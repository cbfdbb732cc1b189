import type { Measure, MeasuredOn } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";

/** What a measure was last time on this car; null: it was not measured. */
export function lastValueOf(
  pointId: string,
  { key }: Measure,
  { carBefore }: Pick<WorkOrderView, "carBefore">,
): number | null {
  return carBefore?.measures.filter((each) => each.pointId === pointId && each.key === key).at(-1)?.value ?? null;
}

/** What a measure probably is: the car's own figure, or what it was last time; null: nothing is known. */
export function likelyValueOf(
  pointId: string,
  measure: Measure,
  view: Pick<WorkOrderView, "carBefore">,
  { specs }: MeasuredOn,
): number | null {
  const ofCar = measure.carLimit === null ? Number.NaN : Number(specs[measure.carLimit]?.value);
  return Number.isFinite(ofCar) ? ofCar : lastValueOf(pointId, measure, view);
}
