import { minuteOfDay, type AskedTime, type TimeOffer } from "@mechanon/core";

/** More are nobody's to choose from. */
const MOST_TIMES = 9;
const NOON_MINUTE = 12 * 60;

/** Of times that fit the best of each half of a day, so that there is something to choose from. */
export function timesApart(offers: readonly TimeOffer[], timeZone: string): AskedTime[] {
  const apart: TimeOffer[] = [];
  const seen = new Set<string>();
  for (const offer of offers) {
    const half = `${offer.date} ${minuteOfDay(offer.startsAt, timeZone) < NOON_MINUTE ? "early" : "late"}`;
    if (seen.has(half)) continue;
    seen.add(half);
    apart.push(offer);
  }
  return apart.slice(0, MOST_TIMES).map(({ mechanicId, startsAt, endsAt }) => ({ mechanicId, startsAt, endsAt }));
}
