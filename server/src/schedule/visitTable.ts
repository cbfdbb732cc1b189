import { minutesBetween, showPlace, showTime, visitStanding } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import { csv } from "../transfer/csv";

const HEADINGS = ["Day", "From", "To", "Minutes", "Mechanic", "Customer", "Car", "What for", "Work orders", "Place", "Standing", "Called off because", "Ready by", "Note"]; // prettier-ignore

/** Visits as a table. @param dayOf - the day of an instant, as it is written. */
export function visitTable(visits: readonly DayVisit[], zone: string, dayOf: (instant: string) => string): string {
  return csv(
    HEADINGS,
    visits.map(({ visit, mechanicName, workOrders }) => [
      dayOf(visit.startsAt),
      showTime(visit.startsAt, zone),
      showTime(visit.endsAt, zone),
      String(minutesBetween(visit.startsAt, visit.endsAt)),
      mechanicName,
      workOrders.map(({ customerName }) => customerName).join(" + "),
      workOrders.map(({ vehicleName }) => vehicleName).join(" + "),
      workOrders.flatMap(({ concerns }) => concerns).join("; "),
      workOrders.map(({ number }) => String(number)).join(" + "),
      showPlace(visit.place),
      visitStanding(visit),
      [visit.calledOff?.why, visit.calledOff?.words].filter(Boolean).join(": "),
      visit.readyBy === null ? "" : showTime(visit.readyBy, zone),
      visit.note,
    ]),
  );
}
