import type { Road, RoadNetwork } from "./roadNetwork";

/** A point on a road. */
export interface OnRoad {
  road: Road;
  /** How far along it, from 0 to 1. */
  share: number;
}

const MILES_PER_DEGREE = 69.09;
/** Farther from any road nobody is fetched by it. */
const MOST_MILES = 2;

/** The nearest point on a road that has houses or traffic; null: there is none near. @param network - ferries are passed over. */
export function nearestOnRoad(
  { roads, ends, latitudes, longitudes }: RoadNetwork,
  latitude: number,
  longitude: number,
): OnRoad | null {
  const eastMiles = MILES_PER_DEGREE * Math.cos((latitude * Math.PI) / 180);
  let [index, shareOfBest] = [-1, 0];
  let nearest = MOST_MILES ** 2;
  for (let each = 0; each < roads.length; each++) {
    const from = ends[2 * each] ?? 0;
    const to = ends[2 * each + 1] ?? 0;
    // In miles from the point; by single numbers, since a network has thousands of roads.
    const fromY = ((latitudes[from] ?? 0) - latitude) * MILES_PER_DEGREE;
    const toY = ((latitudes[to] ?? 0) - latitude) * MILES_PER_DEGREE;
    if (fromY * toY > 0 && Math.min(fromY * fromY, toY * toY) >= nearest) continue;
    const fromX = ((longitudes[from] ?? 0) - longitude) * eastMiles;
    const toX = ((longitudes[to] ?? 0) - longitude) * eastMiles;
    if (fromX * toX > 0 && Math.min(fromX * fromX, toX * toX) >= nearest) continue;
    const alongY = toY - fromY;
    const alongX = toX - fromX;
    const length = alongY * alongY + alongX * alongX;
    const share = length === 0 ? 0 : Math.min(1, Math.max(0, -(fromY * alongY + fromX * alongX) / length));
    const offY = fromY + share * alongY;
    const offX = fromX + share * alongX;
    const away = offY * offY + offX * offX;
    if (away >= nearest || roads[each]?.class === "ferry") continue;
    nearest = away;
    index = each;
    shareOfBest = share;
  }
  const road = roads[index];
  return road ? { road, share: shareOfBest } : null;
}
