import type { Spot } from "@mechanon/core";
import { OutsideError } from "../outside/http";
import type { RoutePoint, RoutingServer } from "../outside/routing/port";
import { travelByRoad } from "./roads";

/**
 * Whole minutes of driving between some points, by a routing server that is asked once for all of them. Where it does not
 * answer or knows no way, and between other points, the roads of the region stand.
 */
export async function travelBetween(
  routing: RoutingServer,
  spots: readonly Spot[],
): Promise<(from: Spot, to: Spot) => number> {
  const byRoad = travelByRoad();
  const known = new Map<string, RoutePoint & { index: number }>();
  for (const { latitude, longitude } of spots)
    if (latitude !== null && longitude !== null && !known.has(keyOf({ latitude, longitude })))
      known.set(keyOf({ latitude, longitude }), { index: known.size, latitude, longitude });
  const minutes = await routing.table([...known.values()]).catch((error: unknown) => {
    if (error instanceof OutsideError) return null;
    throw error;
  });
  if (!minutes) return byRoad;
  return (from, to) => {
    const [one, other] = [known.get(keyOf(from)), known.get(keyOf(to))];
    return (one && other && minutes[one.index]?.[other.index]) ?? byRoad(from, to);
  };
}

function keyOf({ latitude, longitude }: Spot): string {
  return `${latitude} ${longitude}`;
}
