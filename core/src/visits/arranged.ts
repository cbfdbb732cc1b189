import { z } from "zod";
import type { JobCondition } from "../places/conditions";
import { text } from "../text/text";

/** Yes, no, or not asked. */
const answer = z.boolean().nullable();

/** What may be asked before a visit; every answer may stay open. */
export const CALL_QUESTIONS = [
  "starts",
  "drives",
  "lampOn",
  "wheelLockKey",
  "secondKey",
  "landlordAllows",
  "mayOpen",
  "mayDrive",
] as const;
export type CallQuestion = (typeof CALL_QUESTIONS)[number];

/** What is known of the place itself; weather and light are the day's. */
export const PLACE_QUESTIONS = ["levelHardGround", "roof", "power"] as const satisfies readonly JobCondition[];
export type PlaceQuestion = (typeof PLACE_QUESTIONS)[number];

const MOST_UP_TO_CENTS = 100_000_000;

/** What was agreed before a visit: the car, its keys, the place, and who decides while the customer is away. */
export const arranged = z.strictObject({
  starts: answer,
  drives: answer,
  lampOn: answer,
  wheelLockKey: answer,
  secondKey: answer,
  landlordAllows: answer,
  mayOpen: answer,
  mayDrive: answer,
  levelHardGround: answer,
  roof: answer,
  power: answer,
  /** Inches under a roof or a gate; null: not known, or no limit. */
  heightInches: z.number().int().min(1).max(600).nullable(),
  whoIsThere: text(200),
  keyLies: text(200),
  /** Who may say yes and pay while the customer is away; empty: nobody else. */
  maySayYes: text(200),
  /** Up to what; null: without a limit. */
  maySpendCents: z.number().int().min(0).max(MOST_UP_TO_CENTS).nullable(),
  /** When the customer accepted what a visit called off late costs. */
  termsAcceptedAt: z.iso.datetime().nullable(),
});
export type Arranged = z.infer<typeof arranged>;

/** Nothing was asked yet. */
export function nothingArranged(): Arranged {
  return {
    starts: null,
    drives: null,
    lampOn: null,
    wheelLockKey: null,
    secondKey: null,
    landlordAllows: null,
    mayOpen: null,
    mayDrive: null,
    levelHardGround: null,
    roof: null,
    power: null,
    heightInches: null,
    whoIsThere: "",
    keyLies: "",
    maySayYes: "",
    maySpendCents: null,
    termsAcceptedAt: null,
  };
}
