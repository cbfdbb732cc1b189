import {
  showMeasure,
  type Finding,
  type InspectionPoint,
  type Measure,
  type MeasureDoubt,
  type MeasureReason,
  type UnevenWear,
} from "@mechanon/core";

/** A DOT date as it stands on the tire. @example dotWords(323) //=> "0323" */
export function dotWords(value: number): string {
  return String(value).padStart(4, "0");
}

/** One measurement as the trade writes it. */
export function measuredWords({ kind, unit }: Pick<Measure, "kind" | "unit">, value: number): string {
  return kind === "dotDate" ? dotWords(value) : showMeasure(value, unit);
}

/** All that was measured at a point, in one line: "3 · 5 · 6/32 in"; empty: nothing. */
export function allMeasured({ measures }: Pick<InspectionPoint, "measures">, finding: Finding | undefined): string {
  const taken = measures.filter(({ key }) => finding?.measures[key] !== undefined);
  return taken.map((measure) => measuredWords(measure, finding?.measures[measure.key] ?? 0)).join(" · ");
}

/** Why a measurement speaks for a grade, for whoever asks. */
export function reasonWords(reason: MeasureReason, unit: string): string {
  switch (reason.by) {
    case "law":
      return `The law wants at least ${showMeasure(reason.least, unit)}`;
    case "car":
      return `This car's own figure is ${showMeasure(reason.limit, unit)}`;
    case "owner":
      return `Limit of the sheet: ${reason.side === "below" ? "at least" : "at most"} ${showMeasure(reason.limit, unit)}`;
    case "age":
      return `Made ${reason.years} years ago`;
    case "share":
      return `${reason.percent} % of what it is rated`;
    case "uneven":
      return `${reason.spread}/32 in apart across the tire`;
  }
}

const UNEVEN: Readonly<Record<UnevenWear, string>> = {
  inner: "Worn on the inside: alignment, or a worn joint",
  outer: "Worn on the outside: alignment, or taken fast through bends",
  middle: "Worn in the middle: too much pressure",
  edges: "Worn on both edges: too little pressure",
};
export function unevenWords(wear: UnevenWear): string {
  return UNEVEN[wear];
}

/** What is asked about a measurement that hardly is right. */
export function measureDoubtWords({ why, likely }: MeasureDoubt, measure: Measure, value: number): string {
  const said = measuredWords(measure, value);
  switch (why) {
    case "moreThanNew":
      return `${said} is more than a new one has (${measuredWords(measure, measure.most)}).`;
    case "tooSmall":
      return `${said} is next to nothing. Were it inches, it would be ${measuredWords(measure, likely ?? 0)}.`;
    case "grewBack":
      return `${said} is more than last time. Was it replaced meanwhile?`;
    case "noDate":
      return `${said} is no week and year: four digits, such as 2319 for week 23 of 2019.`;
  }
}
