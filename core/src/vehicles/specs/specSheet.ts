import { z } from "zod";

/** What a spec sheet can say of a car, in the order it is shown. Units stand in the name; other values are words. */
export const SPEC_FIELDS = [
  { key: "oilCapacityQuarts", label: "Engine oil with filter", unit: "qt" },
  { key: "oilGrade", label: "Oil grade", unit: null },
  { key: "coolant", label: "Coolant", unit: null },
  { key: "refrigerant", label: "Refrigerant", unit: null },
  { key: "tireFront", label: "Tires, front", unit: null },
  { key: "tireRear", label: "Tires, rear", unit: null },
  { key: "pressureFrontPsi", label: "Pressure, front", unit: "psi" },
  { key: "pressureRearPsi", label: "Pressure, rear", unit: "psi" },
  { key: "wheelTorqueLbFt", label: "Wheel nuts", unit: "lb ft" },
  { key: "batteryGroup", label: "Battery group", unit: null },
  { key: "sparkPlugs", label: "Spark plugs", unit: null },
] as const;
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
  values: z.partialRecord(z.enum(SPEC_KEYS), z.string()),
  intervals: z.array(serviceInterval),
});
export type SpecSheet = z.infer<typeof specSheet>;

/** What a mechanic found on the car instead; null takes an earlier correction back. */
export const specCorrection = z.object({
  key: z.enum(SPEC_KEYS),
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

/** What a corrected value has to look like, by its field; null when it does. */
export function specFault(key: SpecKey, value: string): string | null {
  const { unit } = SPEC_FIELDS.find((field) => field.key === key) ?? { unit: null };
  if (value.trim() === "") return "a value is needed";
  return unit !== null && !/^\d{1,3}(\.\d{1,2})?$/.test(value.trim()) ? `a number of ${unit} is needed` : null;
}
