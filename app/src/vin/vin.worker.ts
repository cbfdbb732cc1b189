import { expose } from "comlink";
import { vinEngine, type VinEngine } from "./vinEngine";

declare const VIN_TABLE_URL: string;

let opened: Promise<VinEngine> | undefined;

/** Opened with the first question; a failed try is tried anew with the next. */
function open(): Promise<VinEngine> {
  opened ??= fetch(VIN_TABLE_URL)
    .then(async (response) => {
      if (!response.ok) throw new Error(`the VIN data answered ${response.status}`);
      return vinEngine(new Uint8Array(await response.arrayBuffer()), new Date().getFullYear());
    })
    .catch((error: unknown) => {
      opened = undefined;
      throw error;
    });
  return opened;
}

expose({
  decode: async (vin: string) => (await open()).decode(vin),
  makes: async (...asked: Parameters<VinEngine["makes"]>) => (await open()).makes(...asked),
  variants: async (...asked: Parameters<VinEngine["variants"]>) => (await open()).variants(...asked),
  readVins: async (...asked: Parameters<VinEngine["readVins"]>) => (await open()).readVins(...asked),
  readPlates: async (...asked: Parameters<VinEngine["readPlates"]>) => (await open()).readPlates(...asked),
  readCode: async (text: string) => (await open()).readCode(text),
});
