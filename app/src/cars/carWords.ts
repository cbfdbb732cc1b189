import {
  countOf,
  showDate,
  showMiles,
  showMoney,
  type DueService,
  type LastService,
  type PartUsed,
  type TireComparison,
  type TireWarning,
} from "@mechanon/core";
import type { PutOffJob, VehicleSheetView } from "@mechanon/contract";

/** @example partWords(...) //=> "5 × Oil 0W-20, quart, Kelpline KL-020Q" */
export function partWords({ quantity, description, brand, partNumber }: PartUsed): string {
  const maker = [brand, partNumber].filter(Boolean).join(" ");
  return `${quantity === 1 ? "" : `${quantity} × `}${description}${maker === "" ? "" : `, ${maker}`}`;
}

/** What was used the last time, one line each; empty when nothing is known. */
export function lastServiceLines(
  { oil, oilFilter, pressures }: Pick<LastService, "oil" | "oilFilter" | "pressures">,
  zone: string,
): string[] {
  return [
    oil ? `${partWords(oil)}, ${showDate(oil.at, zone)}` : null,
    oilFilter ? `${partWords(oilFilter)}, ${showDate(oilFilter.at, zone)}` : null,
    pressures
      ? `Tires ${pressures.frontPsi} psi front, ${pressures.rearPsi} rear, ${showDate(pressures.at, zone)}`
      : null,
  ].filter((line) => line !== null);
}

/** @example putOffWords(...) //=> "$41.20 then, $44.00 now" */
export function putOffWords({ thenCents, nowCents, askOn, reason }: PutOffJob): string {
  const again = `${reason === "" ? "" : `, “${reason}”`}${askOn === null ? "" : `, to ask again on ${askOn}`}`;
  if (nowCents === null) return `${showMoney(thenCents)} then; price it anew${again}`;
  const price =
    nowCents === thenCents
      ? `${showMoney(nowCents)}, as then`
      : `${showMoney(thenCents)} then, ${showMoney(nowCents)} now`;
  return `${price}${again}`;
}

/** How a car is driven, in one line. */
export function odometerLine({ readings, milesPerYear, predictedMiles }: VehicleSheetView["odometer"]): string {
  const last = readings.at(-1);
  if (!last) return "Never read";
  const now =
    predictedMiles !== null && predictedMiles > last.miles ? `, about ${showMiles(predictedMiles)} today` : "";
  return milesPerYear === null ? showMiles(last.miles) : `${showMiles(milesPerYear)} a year${now}`;
}

/** When a service is due and how that came about. */
export function dueWords(
  { interval, last, dueAtMiles, dueByDate, dueOn, by, standing }: DueService,
  zone: string,
): string {
  const day = (date: string): string => showDate(date, zone);
  const every = [
    interval.miles === null ? null : showMiles(interval.miles),
    interval.months === null ? null : countOf(interval.months, "month"),
  ]
    .filter(Boolean)
    .join(" or ");
  if (standing === "unknown" || dueOn === null || !last) return `Every ${every}; not known when it was last done`;
  const at =
    by === "miles" && dueAtMiles !== null
      ? `at ${showMiles(dueAtMiles)}, about ${day(dueOn)}`
      : `on ${day(dueByDate ?? dueOn)}`;
  return `Due ${at}; every ${every}, last ${day(last.at)}${last.miles === null ? "" : ` at ${showMiles(last.miles)}`}`;
}

export const DUE_STANDING: Readonly<Record<DueService["standing"], string>> = {
  overdue: "Overdue",
  soon: "Due soon",
  later: "Later",
  unknown: "Not known",
};
export const INTERVAL_FROM: Readonly<Record<DueService["interval"]["from"], string>> = {
  sheet: "the spec sheet",
  owner: "your own list",
  customer: "agreed with this customer",
};

const WARNINGS: Readonly<Record<TireWarning, string>> = {
  diameter: "More than 3 % off: speedometer, brake control and clearance suffer.",
  "reads-low": "The car drives faster than the speedometer shows.",
  load: "Carries less than the original.",
  speed: "Made for a lower speed than the original.",
  rim: "Needs another wheel.",
  unsaid: "The size does not say load or speed; read them off the tire.",
};

/** What another tire size means, one line each, the warnings last. */
export function tireLines({
  diameterDifferenceMm,
  diameterDifferencePercent,
  trueMphAt60,
  loadDifferenceKg,
  speedDifferenceKmh,
}: TireComparison): [string, string][] {
  const signed = (value: number): string => (value > 0 ? `+${value}` : String(value));
  return [
    ["Diameter", `${signed(diameterDifferenceMm)} mm, ${signed(diameterDifferencePercent)} %`],
    ["At 60 mph shown", `${trueMphAt60} mph`],
    ["Load", loadDifferenceKg === null ? "not said" : `${signed(loadDifferenceKg)} kg`],
    ["Speed", speedDifferenceKmh === null ? "not said" : `${signed(speedDifferenceKmh)} km/h`],
  ];
}
export function tireWarnings({ warnings }: TireComparison): string[] {
  return warnings.map((warning) => WARNINGS[warning]);
}
