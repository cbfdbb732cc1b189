import type { MoveTo } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import { sendVisitCommand } from "../sync/give";
import { useCalendar, type DoneMove } from "./calendarStore";
import { visitName } from "./visitName";

/** Moves a visit, and keeps what it was before for one taking back. @param isAnyway - although it runs into another. */
export function moveTo(stop: DayVisit, to: MoveTo, isAnyway: boolean): void {
  const { visit, workOrders } = stop;
  const { mechanicId, startsAt, endsAt, overlapAllowed: allowOverlap } = visit;
  const move: DoneMove = {
    visitId: visit.id,
    workOrderId: workOrders[0]?.id ?? visit.workOrderIds[0] ?? "",
    name: visitName(stop),
    from: { mechanicId, startsAt, endsAt, allowOverlap },
    to,
  };
  sendVisitCommand(move.visitId, move.workOrderId, { type: "moveVisit", ...to, allowOverlap: isAnyway });
  useCalendar.getState().finish(move);
}

/** Takes the last move back; where somebody else took the time meanwhile, the server says so. */
export function undoMove({ visitId, workOrderId, from }: DoneMove): void {
  sendVisitCommand(visitId, workOrderId, { type: "moveVisit", ...from });
  useCalendar.getState().finish(null);
}
