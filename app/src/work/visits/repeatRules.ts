/** How visits of a fleet repeat. @see RFC 5545, 3.3.10 */
export const REPEATS = [
  { value: "FREQ=WEEKLY", label: "Every week" },
  { value: "FREQ=WEEKLY;INTERVAL=2", label: "Every 2 weeks" },
  { value: "FREQ=MONTHLY", label: "Every month" },
  { value: "FREQ=MONTHLY;INTERVAL=3", label: "Every 3 months" },
  { value: "FREQ=MONTHLY;INTERVAL=6", label: "Twice a year" },
] as const;
export type RepeatRule = (typeof REPEATS)[number]["value"];

/** How many further trips at most are booked in one go. */
export const MOST_TRIPS = 24;

/** The rule with how many trips there are, the first one included. */
export function ruleWithTrips(rule: string, furtherTrips: number): string {
  return `${rule};COUNT=${furtherTrips + 1}`;
}
