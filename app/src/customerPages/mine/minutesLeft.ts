/** Whole minutes until somebody is there; 0 once they should be. */
export function minutesLeft(arrivesAt: string, now: Date): number {
  return Math.max(0, Math.round((Date.parse(arrivesAt) - now.getTime()) / 60_000));
}
