import { CUSTOMERS, LIBRARY, REGISTER_ONLY, SUPPLIER } from "@mechanon/demo";
import { normalizePlate } from "@mechanon/core";

export interface RegisterEntry {
  region: string;
  key: string;
  plate: string;
  vin: string | null;
  color: string;
  year: number | null;
  make: string | null;
  model: string | null;
}
export interface StockItem {
  costCents: number;
  available: number;
}

/** The register of the demo region: the demo's cars and some the business has never seen. */
export function registerOf(): RegisterEntry[] {
  const ours = CUSTOMERS.flatMap(({ cars }) => cars).map(({ plate, vin, color, year, make, model }) => ({
    region: "WA",
    plate,
    vin,
    color,
    year,
    make,
    model,
  }));
  const others = REGISTER_ONLY.map((entry) => ({ ...entry, year: null, make: null, model: null }));
  return [...ours, ...others].map((entry) => ({
    ...entry,
    key: normalizePlate({ plate: entry.plate, region: entry.region }).key,
  }));
}

/** The supplier's shelves. */
export function stockOf(): { stock: Map<string, StockItem>; supplier: string; readyInMinutes: number } {
  const parts = LIBRARY.flatMap(({ lines }) => lines).flatMap((line) =>
    line.kind === "part" && line.partNumber !== null
      ? [{ partNumber: line.partNumber, costCents: line.costCents ?? 0 }]
      : [],
  );
  const stock = new Map(
    parts.map(({ partNumber, costCents }) => [
      partNumber,
      {
        costCents: SUPPLIER.costNow[partNumber] ?? costCents,
        available: SUPPLIER.available[partNumber] ?? SUPPLIER.usualStock,
      },
    ]),
  );
  return { stock, supplier: SUPPLIER.name, readyInMinutes: SUPPLIER.readyInMinutes };
}
