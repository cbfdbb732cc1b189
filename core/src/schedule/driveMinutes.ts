interface Point {
  latitude: number | null;
  longitude: number | null;
}

const EARTH_RADIUS_MILES = 3958.8;
/** Streets are longer than the straight line, by this much on average in a small town. */
const DETOUR = 1.35;
const MILES_PER_HOUR = 27;
const STARTING_MINUTES = 2;

/**
 * Estimated minutes to drive between two places, from their coordinates.
 *
 * @returns Whole minutes; null when a place has no coordinates.
 */
export function driveMinutes(from: Point, to: Point): number | null {
  const miles = milesBetween(from, to);
  return miles === null ? null : Math.round((miles * DETOUR * 60) / MILES_PER_HOUR) + STARTING_MINUTES;
}

/** Estimated miles to drive between two places, whole ones up; null when one has no coordinates. */
export function drivenMiles(from: Point, to: Point): number | null {
  const miles = milesBetween(from, to);
  return miles === null ? null : Math.ceil(miles * DETOUR);
}

/** Great-circle miles between two places; null when one has no coordinates. @see haversine formula */
export function milesBetween(from: Point, to: Point): number | null {
  if (from.latitude === null || from.longitude === null || to.latitude === null || to.longitude === null) return null;
  const radians = (degrees: number): number => (degrees * Math.PI) / 180;
  const dLatitude = radians(to.latitude - from.latitude);
  const dLongitude = radians(to.longitude - from.longitude);
  const a =
    Math.sin(dLatitude / 2) ** 2 +
    Math.cos(radians(from.latitude)) * Math.cos(radians(to.latitude)) * Math.sin(dLongitude / 2) ** 2;
  return 2 * EARTH_RADIUS_MILES * Math.asin(Math.sqrt(a));
}
