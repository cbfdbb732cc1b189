import { z } from "zod";
import type { CommandContext } from "../commands/context";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import { arrive, bookVisit, cancelVisit, leave, moveVisit, setOff } from "./commandSchemas";
import type { VisitRefusal } from "./refusals";
import { visitStanding } from "./standing";
import { VISIT_VERSION, type VisitState } from "./state";

/** What is longer stands in the way of every later booking. */
const LONGEST_MS = 24 * 60 * 60 * 1000;

const rule = ruleFor<VisitState, VisitState>();

/** Every command of a booked visit. Facts (set off, arrived, left) are never refused: a second one changes nothing. */
export const visitRules = {
  moveVisit: rule({
    schema: moveVisit,
    kind: "intention",
    apply(state, { startsAt, endsAt, mechanicId, allowOverlap: overlapAllowed }) {
      const standing = visitStanding(state);
      if (standing === "over" || standing === "cancelled") throw new Refusal<VisitRefusal>("visit/over");
      requireSpan(startsAt, endsAt);
      return { startsAt, endsAt, mechanicId, overlapAllowed };
    },
  }),
  cancelVisit: rule({
    schema: cancelVisit,
    kind: "intention",
    apply(state, _command, { at }) {
      if (visitStanding(state) === "over") throw new Refusal<VisitRefusal>("visit/over");
      return { cancelledAt: state.cancelledAt ?? at };
    },
  }),
  setOff: rule({
    schema: setOff,
    kind: "fact",
    apply: ({ setOffAt }, _command, { at }) => ({ setOffAt: setOffAt ?? at }),
  }),
  arrive: rule({
    schema: arrive,
    kind: "fact",
    apply: ({ setOffAt, arrivedAt }, _command, { at }) => ({ setOffAt: setOffAt ?? at, arrivedAt: arrivedAt ?? at }),
  }),
  leave: rule({
    schema: leave,
    kind: "fact",
    apply: ({ setOffAt, arrivedAt, leftAt }, _command, { at }) => ({
      setOffAt: setOffAt ?? at,
      arrivedAt: arrivedAt ?? at,
      leftAt: leftAt ?? at,
    }),
  }),
};

export const visitCommand = z.discriminatedUnion("type", [bookVisit, moveVisit, cancelVisit, setOff, arrive, leave]);
export type VisitCommand = z.infer<typeof visitCommand>;

/** A visit as it is booked. @throws {Refusal} when it ends before it starts. */
export function booked(
  { workOrderIds, mechanicId, place, startsAt, endsAt, note, allowOverlap }: z.output<typeof bookVisit>,
  { aggregateId: id, at }: Pick<CommandContext, "aggregateId" | "at">,
): VisitState {
  requireSpan(startsAt, endsAt);
  return {
    version: VISIT_VERSION,
    id,
    workOrderIds,
    mechanicId,
    place,
    startsAt,
    endsAt,
    overlapAllowed: allowOverlap,
    note,
    bookedAt: at,
    setOffAt: null,
    arrivedAt: null,
    leftAt: null,
    cancelledAt: null,
  };
}

function requireSpan(startsAt: string, endsAt: string): void {
  if (Date.parse(endsAt) <= Date.parse(startsAt)) throw new Refusal<VisitRefusal>("visit/ends-before-start");
  if (Date.parse(endsAt) - Date.parse(startsAt) > LONGEST_MS) throw new Refusal<VisitRefusal>("visit/too-long");
}
