import { z } from "zod";
import { milesBetween } from "../schedule/driveMinutes";

/** Kinds of road, by how fast one gets along. */
export const ROAD_CLASSES = ["highway", "main", "street", "lane", "ferry"] as const;
export type RoadClass = (typeof ROAD_CLASSES)[number];

const minuteOfDay = z
  .number()
  .int()
  .min(0)
  .max(24 * 60 - 1);
const roadFeature = z.object({
  type: z.literal("Feature"),
  geometry: z.object({
    type: z.literal("LineString"),
    /** Longitude and latitude; roads meet where they have a point in common. */
    coordinates: z.array(z.tuple([z.number(), z.number()])).min(2),
  }),
  properties: z.object({
    name: z.string().nullable(),
    town: z.string().nullable(),
    class: z.enum(ROAD_CLASSES),
    /** House numbers at its two ends; null: nobody lives there. */
    numbers: z.tuple([z.number().int(), z.number().int()]).nullable(),
    /** Of a ferry: when it leaves, from either side, and how long it takes. */
    departures: z.array(minuteOfDay).min(1).optional(),
    crossingMinutes: z.number().positive().optional(),
  }),
});

/** Roads as an open file: GeoJSON (RFC 7946), each a line with its properties. */
const roadFile = z.object({ type: z.literal("FeatureCollection"), features: z.array(roadFeature) });
export type RoadFile = z.infer<typeof roadFile>;

/** A road from one node to another; it is driven both ways. */
export interface Road {
  from: number;
  to: number;
  miles: number;
  class: RoadClass;
  name: string | null;
  town: string | null;
  numbers: readonly [number, number] | null;
  departures: readonly number[];
  crossingMinutes: number;
}

/** Roads as a graph. */
export interface RoadNetwork {
  latitudes: Float64Array;
  longitudes: Float64Array;
  roads: readonly Road[];
  /** The two nodes of each road, one after the other. */
  ends: Int32Array;
  /** Where in `arcs` the roads at each node begin; one more than there are nodes. */
  firstArc: Int32Array;
  /** The roads at each node, by their index, and the node at the other end of each. */
  arcs: Int32Array;
  others: Int32Array;
}

/** A road file as it is written. @throws {z.ZodError} for what is none. */
export function readRoadFile(file: unknown): RoadFile {
  return roadFile.parse(file);
}

/** The graph of a road file; a line of several points is a road for each two of them. @throws {z.ZodError} for what is none. */
export function readRoadNetwork(file: unknown): RoadNetwork {
  const { features } = readRoadFile(file);
  const nodes = new Map<string, number>();
  const [latitudes, longitudes]: [number[], number[]] = [[], []];
  const nodeAt = ([longitude, latitude]: readonly [number, number]): number => {
    const key = `${longitude} ${latitude}`;
    const known = nodes.get(key);
    if (known !== undefined) return known;
    nodes.set(key, latitudes.length);
    latitudes.push(latitude);
    longitudes.push(longitude);
    return latitudes.length - 1;
  };
  const roads: Road[] = [];
  for (const { geometry, properties } of features) {
    const { numbers, departures = [], crossingMinutes = 0, ...about } = properties;
    const points = geometry.coordinates.map((point) => ({ node: nodeAt(point), point }));
    const last = points.length - 1;
    const numberAt = (index: number): number =>
      numbers ? Math.round(numbers[0] + ((numbers[1] - numbers[0]) * index) / last) : 0;
    points.slice(1).forEach(({ node, point }, index) => {
      const before = points[index];
      if (!before) return;
      const miles = milesBetween(spotOf(before.point), spotOf(point)) ?? 0;
      const span = numbers ? ([numberAt(index), numberAt(index + 1)] as const) : null;
      roads.push({ ...about, from: before.node, to: node, miles, numbers: span, departures, crossingMinutes });
    });
  }
  const at: number[][] = latitudes.map(() => []);
  roads.forEach(({ from, to }, index) => {
    at[from]?.push(index);
    at[to]?.push(index);
  });
  const firstArc = new Int32Array(at.length + 1);
  at.forEach((own, node) => (firstArc[node + 1] = (firstArc[node] ?? 0) + own.length));
  const arcs = Int32Array.from(at.flat());
  const others = Int32Array.from(
    at.flatMap((own, node) =>
      own.map((index) => (roads[index]?.from === node ? roads[index].to : (roads[index]?.from ?? node))),
    ),
  );
  return {
    latitudes: Float64Array.from(latitudes),
    longitudes: Float64Array.from(longitudes),
    roads,
    ends: Int32Array.from(roads.flatMap(({ from, to }) => [from, to])),
    firstArc,
    arcs,
    others,
  };
}

function spotOf([longitude, latitude]: readonly [number, number]): { latitude: number; longitude: number } {
  return { latitude, longitude };
}
