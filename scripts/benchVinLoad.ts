import { readFileSync } from "node:fs";
import { readVinTable } from "@mechanon/core/vin";
import { VIN_TABLE_FILE } from "./vinTableFile";

// A process of its own, so that nothing is warm.
const start = performance.now();
readVinTable(readFileSync(VIN_TABLE_FILE));
process.stdout.write(String(performance.now() - start));
