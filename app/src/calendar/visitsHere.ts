import { applyVisitCommand, Refusal, type VisitState } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import type { Pending } from "../sync/pending";

/** Visits as they were shown while commands to them waited, and when that was, in milliseconds. */
export interface ShownHere {
  visits: Readonly<Record<string, VisitState>>;
  at: number;
}

/**
 * Listed visits with what was done to them here: what is dragged stays where it was dropped while it waits to be sent, and
 * until a list that is newer is there. A pending command that no longer fits is left out; the server's answer tells the
 * person.
 * @param names - of the mechanics, by id.
 * @param listedAt - when the server gave the list, in milliseconds.
 */
export function visitsHere(
  listed: readonly DayVisit[],
  pending: readonly Pending[],
  { names, shown, listedAt }: { names: ReadonlyMap<string, string>; shown: ShownHere; listedAt: number },
): DayVisit[] {
  const commands = pending.filter((item) => item.kind === "visit");
  return listed.map((stop) => {
    const mine = commands.filter(({ target }) => target === stop.visit.id);
    const before = shown.visits[stop.visit.id];
    const isNewer = before !== undefined && shown.at > listedAt;
    if (mine.length === 0) return isNewer ? withVisit(stop, before, names) : stop;
    const visit = mine.reduce<VisitState>((state, { command, at }) => {
      try {
        return applyVisitCommand(state, command, { aggregateId: state.id, at });
      } catch (error) {
        if (error instanceof Refusal) return state;
        throw error;
      }
    }, stop.visit);
    return withVisit(stop, visit, names);
  });
}

function withVisit(stop: DayVisit, visit: VisitState, names: ReadonlyMap<string, string>): DayVisit {
  return { ...stop, visit, mechanicName: names.get(visit.mechanicId) ?? stop.mechanicName };
}
