import { join } from "node:path";

/** The roads of the demo region. */
export const ROADS_FILE = join(__dirname, "..", "..", "demo", "roads", "region.geojson");
