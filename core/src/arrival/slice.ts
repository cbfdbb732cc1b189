import { z } from "zod";
import { signature } from "../approvals/slice";
import { BODY_TYPES } from "./bodyTypes";
import { SAFETY_QUESTIONS } from "./safetyQuestions";

const instant = z.iso.datetime();

/** Warning lamps, by what they stand for. */
export const LAMPS = ["engine", "abs", "airbag", "oilPressure", "temperature", "battery", "tirePressure", "brake", "steering", "service", "highVoltage", "other"] as const; // prettier-ignore
export type Lamp = (typeof LAMPS)[number];

/** Damage that was there before. */
export const MARK_KINDS = ["scratch", "dent", "crack", "chip", "rust", "missing", "other"] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** Whether a place is safe for the work, as whoever came judged it. */
const placeJudged = z.object({
  visitId: z.string(),
  isSafe: z.boolean(),
  questions: z.array(z.enum(SAFETY_QUESTIONS)),
  /** Why not. */
  reason: z.string(),
  at: instant,
  by: z.string(),
});

/** A mark on the outline of the car; x and y from 0 to 1000 of the drawing. */
export const damageMark = z.object({
  id: z.string(),
  x: z.number().int().min(0).max(1000),
  y: z.number().int().min(0).max(1000),
  kind: z.enum(MARK_KINDS),
  note: z.string(),
  at: instant,
  by: z.string(),
});
export type DamageMark = z.infer<typeof damageMark>;

/** What was seen before the work began. */
export const arrivalSlice = z.object({
  /** The last word of each visit. */
  placesJudged: z.array(placeJudged),
  /** In eighths of the tank, or percent of the battery. */
  fuel: z
    .object({
      eighths: z.number().int().min(0).max(8).nullable(),
      percent: z.number().int().min(0).max(100).nullable(),
      at: instant,
    })
    .nullable(),
  /** Lamps that were on; empty: none was. */
  lamps: z.object({ on: z.array(z.enum(LAMPS)), at: instant, by: z.string() }).nullable(),
  marks: z.array(damageMark),
  /** Walked around; null: not yet. */
  walkRound: z
    .object({
      bodyType: z.enum(BODY_TYPES),
      at: instant,
      by: z.string(),
      /** The customer's, where one was wanted. */
      signed: z.object({ name: z.string(), strokes: signature, at: instant }).nullable(),
    })
    .nullable(),
  /** The car is apart and nobody works on it; null: it is not. */
  apart: z
    .object({
      isOff: z.string(),
      partsLie: z.string(),
      isDrivable: z.boolean(),
      toldTo: z.string(),
      at: instant,
      by: z.string(),
    })
    .nullable(),
  /** It was apart before, and put together then. */
  wasApart: z.array(z.object({ isOff: z.string(), at: instant, togetherAt: instant, togetherBy: z.string() })),
});
export type ArrivalSlice = z.infer<typeof arrivalSlice>;
