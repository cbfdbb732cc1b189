import { z } from "zod";
import { SPEC_KEYS, type SpecKey, type SpecLine } from "../vehicles/specs/specSheet";
import {
  DRIVES,
  LAYOUTS,
  LAYOUT_TITLES,
  POWERS,
  POWER_GROUPS,
  RUSTS,
  RUST_TITLES,
  VEHICLE_CLASSES,
  VEHICLE_CLASS_TITLES,
  type Drive,
  type Power,
} from "../vehicles/build";
import { OLD_AFTER_YEARS, type Condition } from "./guide";

/** Where something about a car is known from: the car's own record, its spec sheet, or what a mechanic found on it. */
export const FACT_SOURCES = ["car", "specSheet", "mechanic"] as const;
export type FactSource = (typeof FACT_SOURCES)[number];

const known = <Value extends z.ZodType>(value: Value) =>
  z.strictObject({ value, from: z.enum(FACT_SOURCES) }).nullable();

/** What of a car decides which work there is on it, how long it takes, and what goes in; null: not known. */
export const carFacts = z.strictObject({
  vehicleClass: known(z.enum(VEHICLE_CLASSES)),
  power: known(z.enum(POWERS)),
  drive: known(z.enum(DRIVES)),
  layout: known(z.enum(LAYOUTS)),
  rust: known(z.enum(RUSTS)),
  cylinders: known(z.number().int().min(1).max(16)),
  ageYears: known(z.number().int().min(0).max(200)),
  specs: z.partialRecord(z.enum(SPEC_KEYS), z.strictObject({ value: z.string().max(120), from: z.enum(FACT_SOURCES) })),
});
export type CarFacts = z.infer<typeof carFacts>;
export type FactName = Exclude<keyof CarFacts, "specs">;

/** A car of which nothing is known yet. */
export const NO_FACTS: CarFacts = {
  vehicleClass: null,
  power: null,
  drive: null,
  layout: null,
  rust: null,
  cylinders: null,
  ageYears: null,
  specs: {},
};

/** What of a kept car is looked at here. */
export interface CarRecord {
  year: number | null;
  engine: string | null;
  drive: string | null;
}

/**
 * What is known of a car from its record and its specs, each with where it is known from.
 * @param thisYear - the year it is looked at in.
 */
export function carFactsOf(car: CarRecord, specs: readonly SpecLine[], thisYear: number): CarFacts {
  const ofSpec = (key: SpecKey): CarFacts["specs"][SpecKey] => {
    const line = specs.find((each) => each.key === key);
    return line && { value: line.value, from: line.correction ? "mechanic" : "specSheet" };
  };
  const named = <Value extends string>(key: SpecKey, titles: Record<Value, string>): Known<Value> | null => {
    const spec = ofSpec(key);
    if (!spec) return null;
    const names = Object.keys(titles) as Value[];
    const value = names.find((name) => titles[name].toLowerCase() === spec.value.trim().toLowerCase());
    return value === undefined ? null : { value, from: spec.from };
  };
  const cylinders = ofSpec("cylinders");
  const power = powerOf(car.engine);
  const vehicleClass = named("vehicleClass", VEHICLE_CLASS_TITLES);
  return {
    vehicleClass,
    power: ofCar(power),
    drive: ofCar(driveOf(car.drive)),
    layout: named("engineLayout", LAYOUT_TITLES),
    rust: named("rust", RUST_TITLES),
    cylinders: ofCar(cylindersOf(car.engine)) ?? wholeOf(cylinders),
    ageYears: car.year === null ? null : { value: Math.max(0, thisYear - car.year), from: "car" },
    specs: {
      ...(hasPressureMonitor(car, vehicleClass) ? { pressureMonitor: { value: IN_THE_WHEELS, from: "car" } } : {}),
      ...Object.fromEntries(
        SPEC_KEYS.flatMap((key) => {
          const spec = ofSpec(key);
          return spec ? [[key, spec]] : [];
        }),
      ),
    },
  };
}

const IN_THE_WHEELS = "Sensors in the wheels";
const MONITORED_SINCE = 2008;

/** From model year 2008 on light vehicles have one, nearly all with sensors in the wheels. @see 49 CFR 571.138 */
function hasPressureMonitor({ year }: CarRecord, vehicleClass: CarFacts["vehicleClass"]): boolean {
  return year !== null && year >= MONITORED_SINCE && vehicleClass?.value !== "heavy";
}

interface Known<Value> {
  value: Value;
  from: FactSource;
}

const ofCar = <Value>(value: Value | null): Known<Value> | null => (value === null ? null : { value, from: "car" });

function wholeOf(spec: { value: string; from: FactSource } | undefined): Known<number> | null {
  const value = Number(spec?.value);
  return spec && Number.isInteger(value) && value > 0 && value <= 16 ? { value, from: spec.from } : null;
}

/** What drives a car, by the words its engine is kept in. */
function powerOf(engine: string | null): Power | null {
  if (engine === null || engine.trim() === "") return null;
  if (/plug-?in/i.test(engine)) return "plugInHybrid";
  if (/hybrid/i.test(engine)) return "hybrid";
  if (/electric/i.test(engine)) return "electric";
  return /diesel/i.test(engine) ? "diesel" : "gasoline";
}

function cylindersOf(engine: string | null): number | null {
  const found = /\b(\d{1,2}) ?cyl|\b[VIHW](\d{1,2})\b|\bflat[- ](\d)\b/i.exec(engine ?? "");
  const count = Number(found?.[1] ?? found?.[2] ?? found?.[3]);
  return Number.isInteger(count) && count > 0 && count <= 16 ? count : null;
}

function driveOf(drive: string | null): Drive | null {
  if (drive === null) return null;
  if (/\b(AWD|4WD|4x4)\b/i.test(drive)) return "all";
  if (/\bFWD\b/i.test(drive)) return "front";
  return /\b(RWD|4x2)\b/i.test(drive) ? "rear" : null;
}

/** Whether a condition holds on a car; null: what decides it is not known. */
export function holds(condition: Condition, facts: CarFacts): boolean | null {
  switch (condition.fact) {
    case "power": {
      if (!facts.power) return null;
      const group: readonly Power[] = POWER_GROUPS[condition.is];
      return group.includes(facts.power.value);
    }
    case "age":
      return facts.ageYears && facts.ageYears.value > OLD_AFTER_YEARS;
    case "rust":
      // A car nobody complained about is not rusty.
      return facts.rust?.value === condition.is;
    case "drive":
      if (!facts.drive) return null;
      // A driven rear axle, alone or with the front one.
      return condition.is === "rearAxle" ? facts.drive.value !== "front" : facts.drive.value === condition.is;
    case "layout":
      return facts.layout && facts.layout.value === condition.is;
  }
}

/** The fact a condition asks for. */
export function factOf(condition: Condition): FactName {
  return condition.fact === "age" ? "ageYears" : condition.fact;
}
