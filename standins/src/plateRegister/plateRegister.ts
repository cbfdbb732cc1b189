import { Router } from "express";
import { CUSTOMERS, REGISTER_ONLY } from "@mechanon/demo";
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

/** The cars behind a plate. */
export function plateRegister(register: RegisterEntry[] = registerOf()): Router {
  const router = Router();
  router.get("/plates/:region/:key", (req, res) => {
    const cars = register.filter(({ region, key }) => region === req.params.region && key === req.params.key);
    res.json({
      cars: cars.map(({ vin, plate, color, year, make, model }) => ({ vin, plate, color, year, make, model })),
    });
  });
  return router;
}
