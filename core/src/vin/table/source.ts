import type { VinFacts } from "./fields";

/** Kinds of vehicle a maker's code stands for, as far as decoding treats them differently. */
export type VinVehicleKind = "motorcycle" | "car" | "truck" | "mpv" | "incomplete" | "other";
export const VIN_VEHICLE_KINDS: readonly VinVehicleKind[] = [
  "motorcycle",
  "car",
  "truck",
  "mpv",
  "incomplete",
  "other",
];

/** What one key of a schema says: `keys` as published (positions 4-8, `|`, 10-17). */
export interface VinRow {
  key: string;
  facts: VinFacts;
}

/** One world manufacturer identifier (three characters, or six for a small maker). */
export interface VinMakerSource {
  wmi: string;
  maker: string;
  /** Only when every vehicle under this code is of one make. */
  make: string | null;
  country: string | null;
  kind: VinVehicleKind;
  schemas: { schema: number; yearFrom: number; yearTo: number | null }[];
}

/** Everything the compact table is made from: plain rows, schemas numbered by their place. */
export interface VinTableSource {
  makers: VinMakerSource[];
  schemas: VinRow[][];
  engines: { name: string; facts: VinFacts }[];
}
