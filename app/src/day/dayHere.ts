import { dayOf, type VisitState } from "@mechanon/core";
import type { DayVisit, WorkOrderSummary } from "@mechanon/contract";
import type { NewerHere } from "../sync/useNewerHere";
import { summaryHere } from "./summaryHere";

/**
 * The visits of a day as this device knows them: the server's list with what was booked, moved, called off and done
 * here.
 *
 * @param listed - as the server gave them; none where it never did.
 * @param newer - the work orders of which this device knows more.
 * @param names - of the mechanics, by id.
 */
export function dayHere(
  listed: readonly DayVisit[],
  newer: readonly NewerHere[],
  { date, zone, names }: { date: string; zone: string; names: ReadonlyMap<string, string> },
): DayVisit[] {
  const visits = new Map<string, VisitState>(
    newer.flatMap(({ view }) => view.visits.map((visit) => [visit.id, visit])),
  );
  const summaries = new Map<string, WorkOrderSummary>([
    ...listed.flatMap(({ workOrders }) => workOrders.map((order) => [order.id, order] as const)),
    ...newer.map(({ view }) => [view.state.id, summaryHere(view)] as const),
  ]);
  const before = new Map(listed.map((stop) => [stop.visit.id, stop]));
  const isHere = ({ startsAt, cancelledAt }: VisitState): boolean =>
    cancelledAt === null && dayOf(startsAt, zone) === date;
  const untouched = listed
    .filter(({ visit }) => !visits.has(visit.id))
    .map((stop) => ({ ...stop, workOrders: stop.workOrders.map((order) => summaries.get(order.id) ?? order) }));
  const touched = [...visits.values()].filter(isHere).map((visit) => ({
    visit,
    mechanicName: names.get(visit.mechanicId) ?? before.get(visit.id)?.mechanicName ?? "",
    workOrders: visit.workOrderIds.flatMap((id) => summaries.get(id) ?? []),
  }));
  return [...untouched, ...touched].sort((a, b) =>
    a.visit.startsAt < b.visit.startsAt ? -1 : a.visit.startsAt > b.visit.startsAt ? 1 : 0,
  );
}
