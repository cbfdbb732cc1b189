import TinyQueue from "tinyqueue";
import { nearestOnRoad, type OnRoad } from "./onRoad";
import type { Road, RoadClass, RoadNetwork } from "./roadNetwork";

const MILES_PER_HOUR: Record<RoadClass, number> = { highway: 52, main: 34, street: 24, lane: 13, ferry: 10 };
/** In the hours in which everybody drives, the large roads take longer. */
const RUSH_HOURS: ReadonlySet<number> = new Set([7, 8, 16, 17]);
const RUSH: Record<RoadClass, number> = { highway: 1.4, main: 1.3, street: 1.1, lane: 1, ferry: 1 };
const DAY_MINUTES = 24 * 60;

/** Minutes on a road that one turns into at a minute of the day; at a ferry the next one is waited for. */
function minutesOn(road: Road, at: number): number {
  if (road.class === "ferry") return waitFor(road.departures, at) + road.crossingMinutes;
  const hour = Math.floor((((at % DAY_MINUTES) + DAY_MINUTES) % DAY_MINUTES) / 60);
  const slower = RUSH_HOURS.has(hour) ? RUSH[road.class] : 1;
  return (road.miles * 60 * slower) / MILES_PER_HOUR[road.class];
}

function waitFor(departures: readonly number[], at: number): number {
  const minute = ((at % DAY_MINUTES) + DAY_MINUTES) % DAY_MINUTES;
  const next = departures.filter((each) => each >= minute);
  const first = departures.length > 0 ? Math.min(...departures) : 0;
  return (next.length > 0 ? Math.min(...next) : first + DAY_MINUTES) - minute;
}

/** Minutes on every road at the speeds of a minute of the day; of a ferry NaN, which depends on when one comes to it. */
function minutesOnAll({ roads }: RoadNetwork, leaveAt: number): Float64Array {
  return Float64Array.from(roads, (road) => (road.class === "ferry" ? NaN : minutesOn(road, leaveAt)));
}

/** Room for the number of a node beside its minutes, so that both are one number in the queue. */
const NODES = 2 ** 20;
const TICKS_PER_MINUTE = 1000;

/**
 * Minutes from a point on a road to every node, whichever way is shortest; nodes no road leads to are infinitely far.
 *
 * @param onRoads - minutes on each road.
 * @param leaveAt - minute of the day.
 * @see Dijkstra, A note on two problems in connexion with graphs (1959)
 */
function minutesToNodes(network: RoadNetwork, onRoads: Float64Array, from: OnRoad, leaveAt: number): Float32Array {
  const { roads, firstArc, arcs, others, latitudes } = network;
  const minutes = new Float64Array(latitudes.length).fill(Infinity);
  const queue = new TinyQueue<number>();
  const reach = (node: number, after: number): void => {
    if (after >= (minutes[node] ?? 0)) return;
    minutes[node] = after;
    queue.push(Math.round(after * TICKS_PER_MINUTE) * NODES + node);
  };
  const whole = minutesOn(from.road, leaveAt);
  reach(from.road.from, whole * from.share);
  reach(from.road.to, whole * (1 - from.share));
  for (let next = queue.pop(); next !== undefined; next = queue.pop()) {
    const node = next % NODES;
    const here = minutes[node] ?? 0;
    // It was reached sooner since.
    if ((next - node) / NODES > Math.round(here * TICKS_PER_MINUTE)) continue;
    for (let arc = firstArc[node] ?? 0; arc < (firstArc[node + 1] ?? 0); arc++) {
      const index = arcs[arc] ?? 0;
      const known = onRoads[index] ?? 0;
      const road = roads[index];
      const on = Number.isNaN(known) && road ? minutesOn(road, leaveAt + here) : known;
      reach(others[arc] ?? 0, here + on);
    }
  }
  // Kept in half the room; whole minutes are told.
  return Float32Array.from(minutes);
}

interface Spot {
  latitude: number | null;
  longitude: number | null;
}

/** At both ends there is a car to get into and a place to stop at. */
const STOPPING_MINUTES = 2;

/** Keeps what was worked out, for as long as whoever gives it wants. */
interface Kept<Value> {
  get: (key: string) => Value | undefined;
  set: (key: string, value: Value) => unknown;
}

/** What is kept of drives: where points are on the roads, and how far all is from them. */
export interface KeptDrives {
  /** Null: no road is near. */
  places: Kept<{ onRoad: OnRoad | null }>;
  origins: Kept<Float32Array>;
}

/**
 * Whole minutes of driving between points, by the roads; each origin is worked out once.
 *
 * @param kept - what was worked out before, for the same roads and minute; left out: nothing.
 * @param leaveAt - minute of the day that speeds and ferries go by.
 * @param otherwise - where a point is unknown, far from any road or cut off.
 */
export function roadTravel(
  network: RoadNetwork,
  leaveAt: number,
  otherwise: (from: Spot, to: Spot) => number,
  { places, origins }: KeptDrives = { places: new Map(), origins: new Map() },
): (from: Spot, to: Spot) => number {
  const onRoads = minutesOnAll(network, leaveAt);
  const placeOf = ({ latitude, longitude }: Spot, key: string): OnRoad | null => {
    if (latitude === null || longitude === null) return null;
    const known = places.get(key);
    if (known) return known.onRoad;
    const onRoad = nearestOnRoad(network, latitude, longitude);
    places.set(key, { onRoad });
    return onRoad;
  };
  const originOf = (start: OnRoad, key: string): Float32Array => {
    const known = origins.get(key);
    if (known) return known;
    const minutes = minutesToNodes(network, onRoads, start, leaveAt);
    origins.set(key, minutes);
    return minutes;
  };
  return (from, to) => {
    const key = keyOf(from);
    const [start, end] = [placeOf(from, key), placeOf(to, keyOf(to))];
    if (!start || !end) return otherwise(from, to);
    const minutes = originOf(start, key);
    const driven = lastStretch(start, end, minutes, leaveAt);
    return Number.isFinite(driven) ? Math.round(driven) + (driven === 0 ? 0 : STOPPING_MINUTES) : otherwise(from, to);
  };
}

function keyOf({ latitude, longitude }: Spot): string {
  return `${latitude} ${longitude}`;
}

/** From the nearer end of a road to the point on it; along it where both are on the same. */
function lastStretch(start: OnRoad, end: OnRoad, minutes: Float32Array, leaveAt: number): number {
  const { road, share } = end;
  const [byFrom, byTo] = [minutes[road.from] ?? Infinity, minutes[road.to] ?? Infinity];
  const around = Math.min(
    byFrom + minutesOn(road, leaveAt + byFrom) * share,
    byTo + minutesOn(road, leaveAt + byTo) * (1 - share),
  );
  if (start.road !== road) return around;
  return Math.min(around, minutesOn(road, leaveAt) * Math.abs(share - start.share));
}
