import { showTime } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";

/** Whose visit it is and which cars it is for. */
export function visitName({ workOrders }: Pick<DayVisit, "workOrders">): string {
  return (
    [workOrders[0]?.customerName, workOrders.map(({ vehicleName }) => vehicleName).join(" + ")]
      .filter(Boolean)
      .join(", ") || "Visit"
  );
}

/** A visit as it is read aloud. */
export function visitLabel(stop: DayVisit, zone: string): string {
  const { visit, mechanicName } = stop;
  return [
    `${showTime(visit.startsAt, zone)} to ${showTime(visit.endsAt, zone)}`,
    visitName(stop),
    mechanicName,
    visit.isLocked ? "locked" : "",
  ]
    .filter(Boolean)
    .join(", ");
}
