import { z } from "zod";
import { signature } from "../approvals/slice";
import { uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import { BODY_TYPES } from "./bodyTypes";
import type { ArrivalRefusal } from "./refusals";
import { SAFETY_QUESTIONS } from "./safetyQuestions";
import { LAMPS, MARK_KINDS, type ArrivalSlice } from "./slice";

const judgePlace = z
  .strictObject({
    type: z.literal("judgePlace"),
    visitId: uuid,
    isSafe: z.boolean(),
    questions: z.array(z.enum(SAFETY_QUESTIONS)).max(SAFETY_QUESTIONS.length),
    reason: words(300),
  })
  .refine(({ isSafe, reason }) => isSafe || reason !== "", "a place that is not safe has a reason");
const recordFuel = z
  .strictObject({
    type: z.literal("recordFuel"),
    eighths: z.number().int().min(0).max(8).nullable(),
    percent: z.number().int().min(0).max(100).nullable(),
  })
  .refine(({ eighths, percent }) => eighths !== null || percent !== null, "nothing is told");
const recordLamps = z.strictObject({ type: z.literal("recordLamps"), on: z.array(z.enum(LAMPS)).max(LAMPS.length) });
const place = z.number().int().min(0).max(1000);
const addMark = z.strictObject({
  type: z.literal("addMark"),
  id: uuid,
  x: place,
  y: place,
  kind: z.enum(MARK_KINDS),
  note: words(200),
});
const removeMark = z.strictObject({ type: z.literal("removeMark"), id: uuid });
const finishWalkRound = z.strictObject({
  type: z.literal("finishWalkRound"),
  bodyType: z.enum(BODY_TYPES),
  signed: z.strictObject({ name: words(120).min(1), strokes: signature }).nullable(),
});
const leaveApart = z.strictObject({
  type: z.literal("leaveApart"),
  isOff: words(300).min(1),
  partsLie: words(300),
  isDrivable: z.boolean(),
  toldTo: words(120),
});
const putTogether = z.strictObject({ type: z.literal("putTogether") });

const MOST_MARKS = 60;
const MOST_TOLD = 50;

const rule = ruleFor<ArrivalSlice, ArrivalSlice>();

/** What is seen as the car is taken over, and as it is left: facts, all of them. */
export const arrivalRules = {
  judgePlace: rule({
    schema: judgePlace,
    kind: "fact",
    apply: ({ placesJudged }, { visitId, isSafe, questions, reason }, { at, actor }) => ({
      placesJudged: [
        ...placesJudged.filter((each) => each.visitId !== visitId),
        { visitId, isSafe, questions, reason, at, by: actor.id },
      ].slice(-MOST_TOLD),
    }),
  }),
  recordFuel: rule({
    schema: recordFuel,
    kind: "fact",
    apply: (_state, { eighths, percent }, { at }) => ({ fuel: { eighths, percent, at } }),
  }),
  recordLamps: rule({
    schema: recordLamps,
    kind: "fact",
    apply: (_state, { on }, { at, actor }) => ({ lamps: { on: [...new Set(on)], at, by: actor.id } }),
  }),
  addMark: rule({
    schema: addMark,
    kind: "fact",
    apply({ marks }, { id, x, y, kind, note }, { at, actor }) {
      const others = marks.filter((each) => each.id !== id);
      if (others.length >= MOST_MARKS) throw new Refusal<ArrivalRefusal>("mark/too-many");
      return { marks: [...others, { id, x, y, kind, note, at, by: actor.id }] };
    },
  }),
  removeMark: rule({
    schema: removeMark,
    kind: "intention",
    apply({ marks, walkRound }, { id }) {
      if (!marks.some((each) => each.id === id)) throw new Refusal<ArrivalRefusal>("mark/not-found");
      // What a customer signed stays as they signed it.
      if (walkRound?.signed) throw new Refusal<ArrivalRefusal>("mark/signed");
      return { marks: marks.filter((each) => each.id !== id) };
    },
  }),
  finishWalkRound: rule({
    schema: finishWalkRound,
    kind: "fact",
    apply: ({ walkRound }, { bodyType, signed }, { at, actor }) => ({
      walkRound: {
        bodyType,
        at,
        by: actor.id,
        signed: signed ? { ...signed, at } : (walkRound?.signed ?? null),
      },
    }),
  }),
  leaveApart: rule({
    schema: leaveApart,
    kind: "fact",
    apply: (_state, { isOff, partsLie, isDrivable, toldTo }, { at, actor }) => ({
      apart: { isOff, partsLie, isDrivable, toldTo, at, by: actor.id },
    }),
  }),
  putTogether: rule({
    schema: putTogether,
    kind: "fact",
    apply({ apart, wasApart }, _command, { at, actor }) {
      if (!apart) return {};
      return {
        apart: null,
        wasApart: [...wasApart, { isOff: apart.isOff, at: apart.at, togetherAt: at, togetherBy: actor.id }].slice(
          -MOST_TOLD,
        ),
      };
    },
  }),
};
