import { DateTime } from "luxon";
import { CalcError } from "../../calc/error";

/** When a tire was made, and how old it is. */
export interface TireAge {
  week: number;
  year: number;
  /** Monday of the week, ISO date. */
  madeOn: string;
  /** Whole months. */
  ageMonths: number;
  standing: "good" | "aging" | "old";
}

const AGING_MONTHS = 6 * 12;
const OLD_MONTHS = 10 * 12;

/**
 * Reads the date from a tire's DOT code: its last four digits, week and year.
 *
 * @param typed - the whole code or just the digits; spaces and case do not matter.
 * @param today - ISO date.
 * @throws {CalcError} `unreadable` for a code without a date, one of before 2000 (three digits), or in the future.
 * @see 49 CFR 574.5(b)(4)
 * @example
 * readTireAge("DOT XK4R 7Y2 2319", "2026-11-23").madeOn //=> "2019-06-03"
 */
export function readTireAge(typed: string, today: string): TireAge {
  const code = typed.toUpperCase().replace(/[^A-Z0-9]/g, "");
  const digits = /(\d+)$/.exec(code)?.[1] ?? "";
  if (digits.length === 3) throw unreadable("three digits are from before 2000: the tire is too old to use");
  if (digits.length < 4) throw unreadable("the code ends with four digits, week and year, such as 2319");
  const week = Number(digits.slice(-4, -2));
  const year = 2000 + Number(digits.slice(-2));
  const made = DateTime.fromObject({ weekYear: year, weekNumber: week });
  if (!made.isValid) throw unreadable(`there is no week ${digits.slice(-4, -2)} in ${year}`);
  const now = DateTime.fromISO(today);
  if (made > now) throw unreadable(`week ${week} of ${year} is still to come`);
  const ageMonths = Math.floor(now.diff(made, "months").months);
  return {
    week,
    year,
    madeOn: made.toISODate(),
    ageMonths,
    standing: ageMonths >= OLD_MONTHS ? "old" : ageMonths >= AGING_MONTHS ? "aging" : "good",
  };
}

function unreadable(message: string): CalcError {
  return new CalcError("unreadable", message, "dotCode");
}
