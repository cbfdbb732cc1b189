import type { SpecSheet } from "@mechanon/core";

/** A car as others are asked about it. */
export interface AskedCar {
  vin: string | null;
  year: number | null;
  make: string | null;
  model: string | null;
  engine: string | null;
}

/** What a car needs, by its make; the same for the same car. */
export interface Specs {
  of(car: AskedCar): Promise<SpecSheet>;
}
