import { savedHours } from "./shareSteps";
import type { LaborLine } from "./quoteLine";

/** The least hours a line may take while not all of the car is known; what is shared with others comes off the least, too. */
export function leastHours(line: LaborLine): number {
  if (line.hoursFrom === undefined || line.byHand) return line.hours;
  return Math.max(0, Math.round((line.hoursFrom - savedHours(line)) * 10_000) / 10_000);
}
