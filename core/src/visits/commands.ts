import { z } from "zod";
import type { CommandContext } from "../commands/context";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import {
  arrangeVisit,
  arrive,
  bookVisit,
  cancelVisit,
  leave,
  leaveOut,
  lockVisit,
  moveVisit,
  promiseReady,
  reviveVisit,
  setOff,
  takeAlong,
  wantEarlier,
} from "./commandSchemas";
import { arranged } from "./arranged";
import type { VisitRefusal } from "./refusals";
import { visitStanding } from "./standing";
import { VISIT_VERSION, type VisitState } from "./state";

/** Of one trip. */
const MOST_CARS = 20;
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
      if (state.isLocked) throw new Refusal<VisitRefusal>("visit/locked");
      requireSpan(startsAt, endsAt);
      return { startsAt, endsAt, mechanicId, overlapAllowed };
    },
  }),
  cancelVisit: rule({
    schema: cancelVisit,
    kind: "intention",
    apply(state, { why, words }, { at }) {
      if (visitStanding(state) === "over") throw new Refusal<VisitRefusal>("visit/over");
      const calledOff = why === null ? null : { why, words };
      return { cancelledAt: state.cancelledAt ?? at, calledOff: calledOff ?? state.calledOff };
    },
  }),
  reviveVisit: rule({
    schema: reviveVisit,
    kind: "intention",
    apply: ({ cancelledAt }, { allowOverlap }) =>
      cancelledAt === null ? {} : { cancelledAt: null, calledOff: null, overlapAllowed: allowOverlap },
  }),
  lockVisit: rule({ schema: lockVisit, kind: "intention", apply: (_state, { isLocked }) => ({ isLocked }) }),
  wantEarlier: rule({
    schema: wantEarlier,
    kind: "intention",
    apply: (_state, { wants }) => ({ wantsEarlier: wants }),
  }),
  promiseReady: rule({ schema: promiseReady, kind: "intention", apply: (_state, { readyBy }) => ({ readyBy }) }),
  arrangeVisit: rule({
    schema: arrangeVisit,
    kind: "fact",
    apply: (state, { arranged: said, note = state.note }) => ({
      arranged: arranged.parse({ ...state.arranged, ...said }),
      note,
    }),
  }),
  takeAlong: rule({
    schema: takeAlong,
    kind: "intention",
    apply(state, { workOrderId }) {
      const standing = visitStanding(state);
      if (standing === "over" || standing === "cancelled") throw new Refusal<VisitRefusal>("visit/over");
      const workOrderIds = [...new Set([...state.workOrderIds, workOrderId])];
      if (workOrderIds.length > MOST_CARS) throw new Refusal<VisitRefusal>("visit/too-many-cars");
      return { workOrderIds };
    },
  }),
  leaveOut: rule({
    schema: leaveOut,
    kind: "intention",
    apply(state, { workOrderId }) {
      if (visitStanding(state) === "over") throw new Refusal<VisitRefusal>("visit/over");
      const workOrderIds = state.workOrderIds.filter((id) => id !== workOrderId);
      if (workOrderIds.length === 0) throw new Refusal<VisitRefusal>("visit/last-car");
      return { workOrderIds };
    },
  }),
  setOff: rule({
    schema: setOff,
    kind: "fact",
    apply: ({ setOffAt, driveMinutes }, command, { at }) =>
      setOffAt === null ? { setOffAt: at, driveMinutes: command.driveMinutes } : { setOffAt, driveMinutes },
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

export const visitCommand = z.discriminatedUnion("type", [
  bookVisit,
  moveVisit,
  cancelVisit,
  reviveVisit,
  lockVisit,
  promiseReady,
  wantEarlier,
  arrangeVisit,
  takeAlong,
  leaveOut,
  setOff,
  arrive,
  leave,
]);
export type VisitCommand = z.infer<typeof visitCommand>;

/** A visit as it is booked. @throws {Refusal} when it ends before it starts. */
export function booked(
  {
    workOrderIds,
    mechanicId,
    place,
    startsAt,
    endsAt,
    note,
    allowOverlap,
    arranged: agreed,
    readyBy,
    anotherTripWhy,
    series,
  }: z.output<typeof bookVisit>,
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
    isLocked: false,
    note,
    arranged: agreed,
    readyBy,
    anotherTripWhy,
    series,
    bookedAt: at,
    wantsEarlier: false,
    setOffAt: null,
    driveMinutes: null,
    arrivedAt: null,
    leftAt: null,
    cancelledAt: null,
    calledOff: null,
  };
}

function requireSpan(startsAt: string, endsAt: string): void {
  if (Date.parse(endsAt) <= Date.parse(startsAt)) throw new Refusal<VisitRefusal>("visit/ends-before-start");
  if (Date.parse(endsAt) - Date.parse(startsAt) > LONGEST_MS) throw new Refusal<VisitRefusal>("visit/too-long");
}
