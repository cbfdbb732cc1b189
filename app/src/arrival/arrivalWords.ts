import { countOf, showMiles, type Lamp, type MarkKind, type WorkOrderState } from "@mechanon/core";

export const LAMP_WORDS: Readonly<Record<Lamp, string>> = {
  engine: "Engine",
  abs: "ABS",
  airbag: "Airbag",
  oilPressure: "Oil pressure",
  temperature: "Temperature",
  battery: "Charging",
  tirePressure: "Tire pressure",
  brake: "Brake",
  steering: "Steering",
  service: "Service due",
  highVoltage: "High voltage",
  other: "Another one",
};
export const MARK_WORDS: Readonly<Record<MarkKind, string>> = {
  scratch: "Scratch",
  dent: "Dent",
  crack: "Crack",
  chip: "Chip",
  rust: "Rust",
  missing: "Missing",
  other: "Other",
};

const EIGHTHS = ["Empty", "1/8", "1/4", "3/8", "1/2", "5/8", "3/4", "7/8", "Full"];

/** Fuel as a gauge shows it. @example fuelWords({ eighths: 4, percent: null }) //=> "1/2" */
export function fuelWords({ eighths, percent }: { eighths: number | null; percent: number | null }): string {
  return eighths === null ? `${percent ?? 0} %` : (EIGHTHS[eighths] ?? "");
}

/** What of the arrival still matters when it is folded. */
export function arrivalLine({
  placesJudged,
  odometerMiles,
  fuel,
  lamps,
  marks,
  apart,
}: Pick<WorkOrderState, "placesJudged" | "odometerMiles" | "fuel" | "lamps" | "marks" | "apart">): string {
  const place = placesJudged.at(-1);
  const parts = [
    apart ? "Lies apart" : "",
    place ? (place.isSafe ? "Safe to work" : "Not safe here") : "",
    odometerMiles ? showMiles(odometerMiles.value) : "",
    fuel ? `fuel ${fuelWords(fuel)}` : "",
    lamps && lamps.on.length > 0 ? countOf(lamps.on.length, "lamp") : "",
    marks.length > 0 ? countOf(marks.length, "mark") : "",
  ].filter(Boolean);
  return parts.length === 0 ? "Nothing noted" : parts.join(", ");
}
