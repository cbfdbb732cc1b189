interface Reading {
  miles: number;
  /** ISO instant. */
  at: string;
}

const DAY_MS = 86_400_000;
/** Whoever drives for a living, day and night in turns, does not drive more. */
const MOST_MILES_A_DAY = 600;
/** What a day more or less makes: readings of one day, clocks of two devices. */
const LEEWAY_MILES = 300;

/**
 * Whether an odometer can have shown the later reading: not less than before, nor more than can be driven in between.
 * @example
 * couldFollow({ miles: 61000, at: "2026-11-26T17:00:00Z" }, { miles: 610000, at: "2026-11-26T19:00:00Z" }) //=> false
 */
export function couldFollow(earlier: Reading, later: Reading): boolean {
  const driven = later.miles - earlier.miles;
  const days = (Date.parse(later.at) - Date.parse(earlier.at)) / DAY_MS;
  return driven >= 0 && driven <= LEEWAY_MILES + days * MOST_MILES_A_DAY;
}
