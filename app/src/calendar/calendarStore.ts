import type { MoveTo } from "@mechanon/core";
import { create } from "zustand";
import type { CalendarView } from "./calendarView";
import type { ShownHere } from "./visitsHere";

/** A move that was done, and what it was before: it can be taken back once. */
export interface DoneMove {
  visitId: string;
  workOrderId: string;
  name: string;
  from: MoveTo & { allowOverlap: boolean };
  to: MoveTo;
}

interface CalendarStore {
  view: CalendarView;
  /** Null: today. */
  date: string | null;
  /** Null: all mechanics. */
  mechanicId: string | null;
  selectedId: string | null;
  /** Where the selected visit would go; nothing is moved yet. */
  proposed: MoveTo | null;
  done: DoneMove | null;
  /** What was moved here, as it was shown while that waited to be sent. */
  shown: ShownHere;
  change: (part: Partial<Pick<CalendarStore, "view" | "date" | "mechanicId">>) => void;
  select: (visitId: string | null) => void;
  propose: (visitId: string, to: MoveTo | null) => void;
  finish: (move: DoneMove | null) => void;
}

/** What the calendar shows, and what is being moved. */
export const useCalendar = create<CalendarStore>()((set) => ({
  view: "week",
  date: null,
  mechanicId: null,
  selectedId: null,
  proposed: null,
  done: null,
  shown: { visits: {}, at: 0 },
  change: (part) => set(part),
  select: (selectedId) => set({ selectedId, proposed: null }),
  propose: (selectedId, proposed) => set({ selectedId, proposed }),
  finish: (done) => set({ done, proposed: null }),
}));
