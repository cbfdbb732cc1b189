import { join } from "node:path";

/** Where the compiled VIN data lies; git-ignored, made by `npm run vin-data`. */
export const VIN_TABLE_FILE = join(__dirname, "..", ".cache", "vin", "vin.table");
