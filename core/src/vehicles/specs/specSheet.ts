import { z } from "zod";
import { LAYOUT_TITLES, RUST_TITLES, VEHICLE_CLASS_TITLES } from "../build";

/** One thing a spec sheet can say. */
interface SpecField {
  key: string;
  label: string;
  unit: string | null;
  /** It is one of these words. */
  choices?: readonly string[];
}

/** What a spec sheet can say of a car, in the order it is shown. Units stand in the name; other values are words. */
export const SPEC_FIELDS = [
  { key: "oilCapacityQuarts", label: "Engine oil with filter", unit: "qt" },
  { key: "oilGrade", label: "Oil grade", unit: null },
  { key: "drainPlugTorqueLbFt", label: "Drain plug", unit: "lb ft" },
  { key: "coolant", label: "Coolant", unit: null },
  { key: "coolantQuarts", label: "Coolant, whole system", unit: "qt" },
  { key: "refrigerant", label: "Refrigerant", unit: null },
  { key: "tireFront", label: "Tires, front", unit: null },
  { key: "tireRear", label: "Tires, rear", unit: null },
  { key: "pressureFrontPsi", label: "Pressure, front", unit: "psi" },
  { key: "pressureRearPsi", label: "Pressure, rear", unit: "psi" },
  {
    key: "pressureMonitor",
    label: "Tire pressure monitor",
    unit: null,
    choices: ["Sensors in the wheels", "By wheel speed", "None"],
  },
  { key: "wheelTorqueLbFt", label: "Wheel nuts", unit: "lb ft" },
  { key: "batteryGroup", label: "Battery group", unit: null },
  { key: "coldCrankingAmps", label: "Battery, cold cranking amps", unit: "A" },
  { key: "sparkPlugs", label: "Spark plugs", unit: null },
  { key: "sparkPlugTorqueLbFt", label: "Spark plugs, torque", unit: "lb ft" },
  { key: "caliperTorqueLbFt", label: "Caliper brackets", unit: "lb ft" },
  { key: "rearBrakes", label: "Rear brakes", unit: null, choices: ["Disc", "Drum"] },
  { key: "rotorMinimumFrontMm", label: "Front rotors, minimum", unit: "mm" },
  { key: "rotorMinimumRearMm", label: "Rear rotors, minimum", unit: "mm" },
  { key: "brakeFluid", label: "Brake fluid", unit: null },
  { key: "transmissionFluid", label: "Transmission fluid", unit: null },
  { key: "transmissionFluidQuarts", label: "Transmission fluid, drain and fill", unit: "qt" },
  { key: "cylinders", label: "Cylinders", unit: null },
  { key: "vehicleClass", label: "Class of vehicle", unit: null, choices: Object.values(VEHICLE_CLASS_TITLES) },
  { key: "engineLayout", label: "Engine lies", unit: null, choices: Object.values(LAYOUT_TITLES) },
  { key: "rust", label: "Rust underneath", unit: null, choices: Object.values(RUST_TITLES) },
] as const satisfies readonly SpecField[];
export type SpecKey = (typeof SPEC_FIELDS)[number]["key"];
export const SPEC_KEYS = SPEC_FIELDS.map(({ key }) => key) as [SpecKey, ...SpecKey[]];

/** How often a service is due: by miles or months, whichever comes first; null where one does not count. */
export const serviceInterval = z.object({
  id: z.string(),
  title: z.string(),
  miles: z.number().int().positive().nullable(),
  months: z.number().int().positive().nullable(),
});
export type ServiceInterval = z.infer<typeof serviceInterval>;

/** What a source says a car needs. */
export const specSheet = z.object({
  source: z.string(),
  /** Made up by a stand-in: good for trying the app, not for working on a car. */
  simulated: z.boolean(),
  /** By the keys of the fields; one that only another version of the program knows is kept, and not shown. */
  values: z.record(z.string(), z.string()),
  intervals: z.array(serviceInterval),
});
export type SpecSheet = z.infer<typeof specSheet>;

/** What a mechanic found on the car instead; null takes an earlier correction back. */
export const specCorrection = z.object({
  key: z.string(),
  value: z.string().nullable(),
  at: z.string(),
  by: z.string(),
});
export type SpecCorrection = z.infer<typeof specCorrection>;

/** One line of a car's specs, with where it comes from. */
export interface SpecLine {
  key: SpecKey;
  label: string;
  unit: string | null;
  value: string;
  correction: SpecCorrection | null;
  /** What the source says, where a correction stands over it. */
  sourceValue: string | null;
}

/** The specs that hold for a car: the source's, with the mechanic's latest corrections over them. */
export function specLines(sheet: SpecSheet | null, corrections: readonly SpecCorrection[]): SpecLine[] {
  return SPEC_FIELDS.flatMap(({ key, label, unit }) => {
    const latest = corrections.filter((correction) => correction.key === key).at(-1);
    const correction = latest === undefined || latest.value === null ? null : latest;
    const sourceValue = sheet?.values[key] ?? null;
    const value = correction?.value ?? sourceValue;
    return value === null ? [] : [{ key, label, unit, value, correction, sourceValue }];
  });
}

/** The words a spec is one of; undefined: it is written freely. */
export function specChoices(key: SpecKey): readonly string[] | undefined {
  const field: SpecField | undefined = SPEC_FIELDS.find((each) => each.key === key);
  return field?.choices;
}

/** What a corrected value has to look like, by its field; null when it does. */
export function specFault(key: SpecKey, value: string): string | null {
  const field: SpecField | undefined = SPEC_FIELDS.find((each) => each.key === key);
  const unit = field?.unit ?? null;
  if (value.trim() === "") return "a value is needed";
  if (field?.choices && !field.choices.includes(value.trim())) return `one of ${field.choices.join(", ")} is needed`;
  if (key === "cylinders" && !/^(?:[1-9]|1[0-6])$/.test(value.trim())) return "a number from 1 to 16 is needed";
  return unit !== null && !/^\d{1,3}(\.\d{1,2})?$/.test(value.trim()) ? `a number of ${unit} is needed` : null;
}
