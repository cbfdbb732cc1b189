import { wrap, type Remote } from "comlink";
import type { VinEngine } from "./vinEngine";

let client: Remote<VinEngine> | undefined;

/** The VIN data in its worker; the same one for all who ask. */
export function vinClient(): Remote<VinEngine> {
  client ??= wrap<VinEngine>(new Worker("/workers/vin.js"));
  return client;
}
