import {
  isZone,
  readTimeOfDay,
  showTimeOfDay,
  usualCrewMember,
  type BusinessSettings,
  type CrewMember,
} from "@mechanon/core";
import type { BusinessView } from "@mechanon/contract";
import { z } from "zod";
import { begunFrom } from "./begunFrom";

export const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;

const typedDay = z.object({ works: z.boolean(), from: z.string(), until: z.string() });
const typedMember = z.object({
  personId: z.string(),
  name: z.string(),
  /** Monday first. */
  days: z.array(typedDay),
  pauseFrom: z.string(),
  pauseUntil: z.string(),
  off: z.array(z.object({ from: z.string(), to: z.string() })),
  skills: z.string(),
  carries: z.string(),
  vanHeight: z.string(),
  baseStreet: z.string(),
  /** Where the street is; nulls: not found, the shop stands. */
  baseLatitude: z.number().nullable(),
  baseLongitude: z.number().nullable(),
  zone: z.string(),
});

/** When mechanics drive, as it is typed. */
export const typedCrew = z.object({ base: begunFrom, people: z.array(typedMember) });
export type TypedCrew = z.input<typeof typedCrew>;

const TIME = "a time like 7:30 or 19:00";
const isDate = (typed: string): boolean => z.iso.date().safeParse(typed.trim()).success;

/** What was typed, read. */
export const readCrew = z.object({
  base: begunFrom,
  people: z.array(
    typedMember.transform(({ personId, days, pauseFrom, pauseUntil, off, ...typed }, context): CrewMember => {
      const fault = (path: (string | number)[], message: string): void =>
        context.addIssue({ code: "custom", path, message });
      const span = (from: string, until: string, path: (string | number)[], names: [string, string]) => {
        const [fromMinute, untilMinute] = [readTimeOfDay(from), readTimeOfDay(until)];
        if (fromMinute === null) fault([...path, names[0]], TIME);
        if (untilMinute === null) fault([...path, names[1]], TIME);
        if (fromMinute !== null && untilMinute !== null && untilMinute <= fromMinute)
          fault([...path, names[1]], "the end comes before the beginning");
        return { fromMinute: fromMinute ?? 0, untilMinute: untilMinute ?? 0 };
      };
      const hours = days.flatMap(({ works, from, until }, index) =>
        works ? [{ weekday: index + 1, ...span(from, until, ["days", index], ["from", "until"]) }] : [],
      );
      const hasPause = pauseFrom.trim() !== "" || pauseUntil.trim() !== "";
      const pause = hasPause ? span(pauseFrom, pauseUntil, [], ["pauseFrom", "pauseUntil"]) : null;
      off.forEach(({ from, to }, index) => {
        if (!isDate(from)) fault(["off", index, "from"], "a day like 2026-12-24");
        if (!isDate(to)) fault(["off", index, "to"], "a day like 2026-12-24");
        else if (isDate(from) && to.trim() < from.trim()) fault(["off", index, "to"], "it ends before it begins");
      });
      if (!/^\s*(\d{2,3})?\s*$/.test(typed.vanHeight) || isOutside(typed.vanHeight))
        fault(["vanHeight"], `whole inches from ${LEAST_HEIGHT} to ${MOST_HEIGHT}, or empty`);
      if (typed.zone.trim() !== "" && !isZone(typed.zone.trim())) fault(["zone"], "a zone like America/Denver");
      return {
        personId,
        hours,
        pause,
        off: off.map(({ from, to }) => ({ from: from.trim(), to: to.trim() })),
        skills: partedByCommas(typed.skills),
        carries: partedByCommas(typed.carries),
        vanHeightInches: typed.vanHeight.trim() === "" ? null : Number(typed.vanHeight),
        base:
          typed.baseStreet.trim() === ""
            ? null
            : {
                street: typed.baseStreet.trim(),
                latitude: typed.baseLatitude,
                longitude: typed.baseLongitude,
              },
        zone: typed.zone.trim() === "" ? null : typed.zone.trim(),
      };
    }),
  ),
});

const LEAST_HEIGHT = 40;
const MOST_HEIGHT = 200;

function isOutside(typed: string): boolean {
  return typed.trim() !== "" && (Number(typed) < LEAST_HEIGHT || Number(typed) > MOST_HEIGHT);
}

function partedByCommas(typed: string): string[] {
  return typed.split(",").flatMap((each) => (each.trim() === "" ? [] : [each.trim()]));
}

/** When mechanics drive, as it would be typed; who is not in the list does as usual. */
export function typedCrewOf(base: BusinessSettings, people: BusinessView["people"]): TypedCrew {
  return {
    base,
    people: people
      .filter(({ id, isMechanic }) => isMechanic || base.crew.some(({ personId }) => personId === id))
      .map(({ id, name }) => {
        const member = base.crew.find(({ personId }) => personId === id) ?? usualCrewMember(id);
        const usual = usualCrewMember(id).hours;
        return {
          personId: id,
          name,
          days: WEEKDAYS.map((_, index) => {
            const own = member.hours.find(({ weekday }) => weekday === index + 1);
            const shown = own ?? usual[index];
            return {
              works: own !== undefined,
              from: showTimeOfDay(shown?.fromMinute ?? 0),
              until: showTimeOfDay(shown?.untilMinute ?? 0),
            };
          }),
          pauseFrom: member.pause ? showTimeOfDay(member.pause.fromMinute) : "",
          pauseUntil: member.pause ? showTimeOfDay(member.pause.untilMinute) : "",
          off: member.off.map((each) => ({ ...each })),
          skills: member.skills.join(", "),
          carries: member.carries.join(", "),
          vanHeight: member.vanHeightInches === null ? "" : String(member.vanHeightInches),
          baseStreet: member.base?.street ?? "",
          baseLatitude: member.base?.latitude ?? null,
          baseLongitude: member.base?.longitude ?? null,
          zone: member.zone ?? "",
        };
      }),
  };
}
