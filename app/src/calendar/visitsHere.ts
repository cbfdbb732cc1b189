import { applyVisitCommand, Refusal, type VisitState } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import type { Pending } from "../sync/pending";

/**
 * Listed visits with what was done to them here and waits to be sent: what is dragged stays where it was dropped. A
 * pending command that no longer fits is left out; the server's answer tells the person.
 * @param names - of the mechanics, by id.
 */
export function visitsHere(
  listed: readonly DayVisit[],
  pending: readonly Pending[],
  names: ReadonlyMap<string, string>,
): DayVisit[] {
  const commands = pending.filter((item) => item.kind === "visit");
  if (commands.length === 0) return [...listed];
  return listed.map((stop) => {
    const mine = commands.filter(({ target }) => target === stop.visit.id);
    if (mine.length === 0) return stop;
    const visit = mine.reduce<VisitState>((state, { command, at }) => {
      try {
        return applyVisitCommand(state, command, { aggregateId: state.id, at });
      } catch (error) {
        if (error instanceof Refusal) return state;
        throw error;
      }
    }, stop.visit);
    return { ...stop, visit, mechanicName: names.get(visit.mechanicId) ?? stop.mechanicName };
  });
}
