import { showDate, showMiles, type Measure, type WearAhead } from "@mechanon/core";
import { measuredWords } from "./measureWords";

/** How a measured item wears, in one sentence. */
export function wearWords(measure: Measure, { limit, readings, wear }: WearAhead, zone: string): string {
  const first = readings[0];
  const last = readings.at(-1);
  const to = measuredWords(measure, limit);
  const since = first && last ? `${measure.name}: ${measuredWords(measure, first.value)} at ${showMiles(first.odometer)}, ${measuredWords(measure, last.value)} at ${showMiles(last.odometer)}` : measure.name; // prettier-ignore
  if (wear.milesLeft === 0) return `${since}. It is at its limit of ${to}.`;
  if (wear.milesLeft === null) return `${since}. No wear to be seen.`;
  const by = wear.dueOn === null ? "" : `, about ${showDate(`${wear.dueOn}T12:00:00Z`, zone)}`;
  return `${since}. ${showMiles(wear.milesLeft)} left to ${to}${by}.`;
}
