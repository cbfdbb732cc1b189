import { Refusal } from "../workOrders/refusal";
import type { VisitCommand } from "./commands";
import { visitStanding } from "./standing";
import type { VisitState } from "./state";

/** When and about which visit a command is. */
export interface VisitCommandContext {
  visitId: string;
  /** ISO instant the command was given. */
  at: string;
}

/**
 * Applies a command to a visit.
 *
 * @param state - null before it is booked.
 * @returns The changed visit; the one given is left as it is.
 * @throws {Refusal} when an intention does not fit. Facts (set off, arrived, left) are never refused: a second one
 *   changes nothing.
 */
export function applyVisitCommand(
  state: VisitState | null,
  command: VisitCommand,
  { visitId, at }: VisitCommandContext,
): VisitState {
  if (command.type === "bookVisit") {
    if (state) throw new Refusal("visit/exists");
    requireSpan(command.startsAt, command.endsAt);
    const { workOrderIds, mechanicId, place, startsAt, endsAt, note } = command;
    return {
      id: visitId,
      workOrderIds,
      mechanicId,
      place,
      startsAt,
      endsAt,
      note,
      bookedAt: at,
      setOffAt: null,
      arrivedAt: null,
      leftAt: null,
      cancelledAt: null,
    };
  }
  if (!state) throw new Refusal("visit/not-found");
  const standing = visitStanding(state);
  switch (command.type) {
    case "moveVisit":
      if (standing === "over" || standing === "cancelled") throw new Refusal("visit/over");
      requireSpan(command.startsAt, command.endsAt);
      return { ...state, startsAt: command.startsAt, endsAt: command.endsAt, mechanicId: command.mechanicId };
    case "cancelVisit":
      if (standing === "over") throw new Refusal("visit/over");
      return { ...state, cancelledAt: state.cancelledAt ?? at };
    case "setOff":
      return { ...state, setOffAt: state.setOffAt ?? at };
    case "arrive":
      return { ...state, setOffAt: state.setOffAt ?? at, arrivedAt: state.arrivedAt ?? at };
    case "leave":
      return { ...state, setOffAt: state.setOffAt ?? at, arrivedAt: state.arrivedAt ?? at, leftAt: state.leftAt ?? at };
  }
}

function requireSpan(startsAt: string, endsAt: string): void {
  if (Date.parse(endsAt) <= Date.parse(startsAt)) throw new Refusal("visit/ends-before-start");
}
