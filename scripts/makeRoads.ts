import { mkdirSync, writeFileSync } from "node:fs";
import { dirname } from "node:path";
import { STREETS } from "@mechanon/demo";
import { makeRoads } from "./roads/makeRoads";
import { ROADS_FILE } from "./roads/roadsFile";

/** Writes the made-up roads of the demo region anew; the same each time. */
const { features, ...file } = makeRoads(STREETS);
mkdirSync(dirname(ROADS_FILE), { recursive: true });
const lines = features.map((feature) => JSON.stringify(feature)).join(",\n");
writeFileSync(ROADS_FILE, `${JSON.stringify(file).slice(0, -1)},"features":[\n${lines}\n]}\n`);
process.stdout.write(`${features.length} roads written\n`);
