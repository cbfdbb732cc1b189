/** The facts a pattern can state about a vehicle, in the order they are numbered in the compact table. */
export const VIN_FIELDS = [
  "model",
  "bodyClass",
  "series",
  "trim",
  "cylinders",
  "liters",
  "cubicCentimeters",
  "cubicInches",
  "engineModel",
  "configuration",
  "fuel",
  "doors",
  "gvwr",
  "drive",
  "turbo",
  "plantCity",
  "plantState",
  "plantCountry",
  "horsepower",
] as const;

export type VinField = (typeof VIN_FIELDS)[number];
/** Values of one pattern or engine, by field. A model's value is `MAKE<tab>Model`. */
export type VinFacts = Partial<Record<VinField, string>>;
