import { minuteOfDay } from "@mechanon/core";

const HOME = "America/Los_Angeles";
const WEST = "Pacific/Honolulu";
/** From then on, a slow run would see the day of its demo end. */
const LATE_MINUTE = 22 * 60;

/** The time zone of a demo whose day does not end while a run of tests looks at it: home, or two hours west by night. */
export function testZone(now: Date): string {
  return minuteOfDay(now.toISOString(), HOME) < LATE_MINUTE ? HOME : WEST;
}
