import { readRoadFile, type RoadClass } from "./roadNetwork";

/** What a map shows. */
export interface MapBounds {
  south: number;
  west: number;
  north: number;
  east: number;
}

/** A road as it is drawn: longitude and latitude of its points. */
export interface MapRoad {
  name: string | null;
  class: RoadClass;
  points: [number, number][];
}

const MOST_ROADS = 1200;
/** Small roads are drawn from so near on; farther away they would be a gray. */
const LANES_WITHIN_DEGREES = 0.05;
const STREETS_WITHIN_DEGREES = 0.12;

/** Roads within some bounds, the large ones alone where much is shown. */
export function mapRoads(file: ReturnType<typeof readRoadFile>, { south, west, north, east }: MapBounds): MapRoad[] {
  const height = north - south;
  const isDrawn = (kind: RoadClass): boolean =>
    kind === "lane" ? height <= LANES_WITHIN_DEGREES : kind === "street" ? height <= STREETS_WITHIN_DEGREES : true;
  const isIn = ([longitude, latitude]: readonly [number, number]): boolean =>
    longitude >= west && longitude <= east && latitude >= south && latitude <= north;
  return file.features
    .filter(({ geometry, properties }) => isDrawn(properties.class) && geometry.coordinates.some(isIn))
    .slice(0, MOST_ROADS)
    .map(({ geometry, properties }) => ({
      name: properties.name,
      class: properties.class,
      points: geometry.coordinates.map(([longitude, latitude]): [number, number] => [longitude, latitude]),
    }));
}
