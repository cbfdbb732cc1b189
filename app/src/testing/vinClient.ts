import { readFileSync } from "node:fs";
import { join } from "node:path";
import { vinEngine, type VinEngine } from "../vin/vinEngine";

let engine: VinEngine | undefined;

/** The real VIN data, without its worker; `vinData.isMissing` takes it away. */
export const vinData = { isMissing: false };

const answers =
  <A extends unknown[], T>(ask: (engine: VinEngine) => (...asked: A) => T) =>
  async (...asked: A): Promise<T> => {
    if (vinData.isMissing) throw new Error("the VIN data is not on this device");
    engine ??= vinEngine(readFileSync(join(__dirname, "../../../.cache/vin/vin.table")), 2026);
    return Promise.resolve(ask(engine)(...asked));
  };

const client = {
  decode: answers((each) => each.decode.bind(each)),
  makes: answers((each) => each.makes.bind(each)),
  variants: answers((each) => each.variants.bind(each)),
  readVins: answers((each) => each.readVins.bind(each)),
  readPlates: answers((each) => each.readPlates.bind(each)),
  readCode: answers((each) => each.readCode.bind(each)),
};
export const vinClient = (): typeof client => client;
