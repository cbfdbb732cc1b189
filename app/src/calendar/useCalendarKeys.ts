import { useHotkeys } from "react-hotkeys-hook";
import { addDays, dayOf, visitStanding } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { sendVisitCommand } from "../sync/give";
import { useCalendar } from "./calendarStore";
import { turned } from "./calendarView";
import { GRID_MINUTES, movedBy } from "./gridPlace";
import { undoMove } from "./moveActs";

/** The keys of the calendar: turning its pages, and moving the picked visit. */
export function useCalendarKeys(stops: readonly DayVisit[], zone: string): void {
  const today = useToday();
  const { view, date, selectedId, proposed, done, change, select, propose } = useCalendar();
  const shown = date ?? today;
  const stop = stops.find(({ visit }) => visit.id === selectedId);
  const nudge = (days: number, minutes: number): void => {
    if (!stop || visitStanding(stop.visit) !== "booked" || stop.visit.isLocked) return;
    const from = proposed ?? stop.visit;
    const day = addDays(dayOf(from.startsAt, zone), days);
    propose(stop.visit.id, movedBy(from, minutes, { date: day, mechanicId: from.mechanicId }, zone));
  };
  const options = { preventDefault: true };
  useHotkeys("left", () => change({ date: turned(view, shown, -1) }), [view, shown]);
  useHotkeys("right", () => change({ date: turned(view, shown, 1) }), [view, shown]);
  useHotkeys("t", () => change({ date: null }));
  useHotkeys("1", () => change({ view: "day" }));
  useHotkeys("2", () => change({ view: "week" }));
  useHotkeys("3", () => change({ view: "list" }));
  useHotkeys("alt+up", () => nudge(0, -GRID_MINUTES), options, [stop, proposed, zone]);
  useHotkeys("alt+down", () => nudge(0, GRID_MINUTES), options, [stop, proposed, zone]);
  useHotkeys("alt+left", () => nudge(-1, 0), options, [stop, proposed, zone]);
  useHotkeys("alt+right", () => nudge(1, 0), options, [stop, proposed, zone]);
  // The button says what the move breaks; the key presses it, and no more than it.
  useHotkeys("m", () =>
    document.querySelector<HTMLElement>('[data-testid="move-here"]:not([aria-disabled="true"])')?.click(),
  );
  useHotkeys("escape", () => (proposed && stop ? propose(stop.visit.id, null) : select(null)), [proposed, stop]);
  useHotkeys("u", () => done && undoMove(done), [done]);
  useHotkeys(
    "k",
    () => {
      if (!stop || visitStanding(stop.visit) !== "booked") return;
      const workOrderId = stop.workOrders[0]?.id ?? "";
      sendVisitCommand(stop.visit.id, workOrderId, { type: "lockVisit", isLocked: !stop.visit.isLocked });
    },
    [stop],
  );
}
