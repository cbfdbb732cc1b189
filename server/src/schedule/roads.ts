import { readFileSync } from "node:fs";
import { join } from "node:path";
import { LRUCache } from "lru-cache";
import {
  driveMinutes,
  mapRoads,
  readRoadFile,
  readRoadNetwork,
  roadTravel,
  type KeptDrives,
  type MapBounds,
  type MapRoad,
  type RoadFile,
  type RoadNetwork,
  type Spot,
} from "@mechanon/core";

const FILE = join(__dirname, "..", "..", "..", "demo", "roads", "region.geojson");
/** Where nobody knows how far it is. */
const USUAL_DRIVE_MINUTES = 15;
/** The hours visits are driven to; for the few in the hours everybody drives it is a little short. */
const LEAVE_AT_MINUTE = 10 * 60;
/** About 16 KB for each origin. */
const MOST_ORIGINS = 2000;
const MOST_PLACES = 20_000;

let kept: RoadNetwork | undefined;
let file: RoadFile | undefined;

/** The roads of the region that ships with the app; read once. */
function roads(): RoadNetwork {
  kept ??= readRoadNetwork(roadFile());
  return kept;
}

/** The same as they are drawn; read once. */
function roadFile(): RoadFile {
  file ??= readRoadFile(JSON.parse(readFileSync(FILE, "utf8")) as unknown);
  return file;
}

/** The roads within some bounds. */
export function roadsWithin(bounds: MapBounds): MapRoad[] {
  return mapRoads(roadFile(), bounds);
}

/** Visits are driven to again and again; how far all is from one place is worked out once. */
const drives: KeptDrives = {
  places: new LRUCache({ max: MOST_PLACES }),
  origins: new LRUCache({ max: MOST_ORIGINS }),
};

/** Whole minutes of driving by the roads; far from them by a detour factor, to an unknown place a usual drive. */
export function travelByRoad(): (from: Spot, to: Spot) => number {
  return roadTravel(roads(), LEAVE_AT_MINUTE, (from, to) => driveMinutes(from, to) ?? USUAL_DRIVE_MINUTES, drives);
}
