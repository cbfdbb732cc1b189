import { dequal } from "dequal";
import { z } from "zod";
import { isZone } from "../dates/dates";
import { text } from "../text/text";

const MOST_OFF = 100;
const minute = z
  .number()
  .int()
  .min(0)
  .max(24 * 60);
const span = { fromMinute: minute, untilMinute: minute };

/** When a mechanic drives, and what they can do; wall-clock times of the business. */
export const crewMember = z.strictObject({
  personId: z.string().min(1).max(60),
  /** 1 Monday to 7 Sunday, each once; a day that is not there is free. */
  hours: z
    .array(z.strictObject({ weekday: z.number().int().min(1).max(7), ...span }))
    .max(7)
    .refine((days) => new Set(days.map(({ weekday }) => weekday)).size === days.length, "a weekday is there twice")
    .refine((days) => days.every(isForward), "a day ends before it begins"),
  /** On every day of work; null: none. */
  pause: z.strictObject(span).refine(isForward, "the break ends before it begins").nullable(),
  /** Days off, the first and the last of them. */
  off: z
    .array(
      z.strictObject({ from: z.iso.date(), to: z.iso.date() }).refine(({ from, to }) => from <= to, "it ends first"),
    )
    .max(MOST_OFF),
  /** As the jobs of the library ask for them. */
  skills: z.array(z.string().trim().min(1).max(60)).max(40),
  /** What their van carries, as the jobs ask for it; empty: nobody said. */
  carries: z.array(z.string().trim().min(1).max(60)).max(60).default([]),
  /** Null: nobody said. */
  vanHeightInches: z.number().int().min(40).max(200).nullable().default(null),
  /** Where they leave from and come home to; null: the shop. */
  base: z
    .strictObject({
      street: text(200),
      latitude: z.number().min(-90).max(90).nullable(),
      longitude: z.number().min(-180).max(180).nullable(),
    })
    .nullable()
    .default(null),
  /** IANA name of the zone their hours are in; null: the business's. */
  zone: z.string().max(60).refine(isZone, "no time zone of this name").nullable().default(null),
});
export type CrewMember = z.infer<typeof crewMember>;

function isForward({ fromMinute, untilMinute }: { fromMinute: number; untilMinute: number }): boolean {
  return fromMinute < untilMinute;
}

const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];
const USUAL = { fromMinute: 7 * 60, untilMinute: 18 * 60 };

/** Of whom nothing was said: every day from seven to six, and whatever there is to do. */
export function usualCrewMember(personId: string): CrewMember {
  const hours = EVERY_DAY.map((weekday) => ({ weekday, ...USUAL }));
  return {
    personId,
    hours,
    pause: null,
    off: [],
    skills: [],
    carries: [],
    vanHeightInches: null,
    base: null,
    zone: null,
  };
}

/** Whether somebody does as whoever nothing was said of. */
export function isUsualCrewMember(member: CrewMember): boolean {
  return dequal(member, usualCrewMember(member.personId));
}

/** Hours of a mechanic on a day, in minutes from midnight; null: they are off. */
export function hoursOn({ hours, off }: CrewMember, date: string, weekday: number): typeof USUAL | null {
  if (off.some(({ from, to }) => from <= date && date <= to)) return null;
  return hours.find((each) => each.weekday === weekday) ?? null;
}

/** Whether a van is known to be too high for a place. */
export function isVanTooHigh(
  { vanHeightInches }: Pick<CrewMember, "vanHeightInches">,
  { heightInches }: { heightInches: number | null },
): boolean {
  return vanHeightInches !== null && heightInches !== null && vanHeightInches > heightInches;
}

/** Whether somebody can do what jobs ask for, and carries it; of whom nothing was said, everything. */
export function canDo(
  { skills, carries }: Pick<CrewMember, "skills" | "carries">,
  wanted: { skills: readonly string[]; carries: readonly string[] },
): boolean {
  return lacking(skills, wanted.skills).length === 0 && lacking(carries, wanted.carries).length === 0;
}

/** What is wanted and not there, however it is spelled; where nothing was said, nothing is lacking. */
export function lacking(known: readonly string[], wanted: readonly string[]): string[] {
  const folded = new Set(known.map((each) => each.toLowerCase()));
  return known.length === 0 ? [] : wanted.filter((each) => !folded.has(each.toLowerCase()));
}
