import {
  SPEC_FIELDS,
  leastHours,
  savedHours,
  showTorque,
  type Condition,
  type FactName,
  type LaborLine,
  type LineSource,
  type PowerGroup,
  type QuoteLine,
  type SpecKey,
} from "@mechanon/core";

const SOURCES: Record<LineSource["from"], string> = {
  guide: "the guide",
  car: "the car’s record",
  specSheet: "the spec sheet",
  mechanic: "what was found on the car",
  library: "the library, the car’s own is not known",
};
const FIGURES = { hours: "Hours", quantity: "Amount", grade: "Grade" } as const;

/** Where the figures of a line come from, as a person reads it; one sentence each, what is alike together. */
export function sourceWords(line: QuoteLine): string[] {
  const sources = (line.sources ?? []).filter(({ of }) => of === "grade" || !line.byHand);
  const alike = new Map<LineSource["from"], LineSource["of"][]>();
  for (const { of, from } of sources) alike.set(from, [...(alike.get(from) ?? []), of]);
  const words = [...alike].map(([from, of]) => {
    const [first = "", ...others] = of.map((each) => FIGURES[each]);
    return `${[first, ...others.map((each) => each.toLowerCase())].join(" and ")} from ${SOURCES[from]}`;
  });
  if (line.kind !== "labor") return words;
  words.push(...(line.torques ?? []).map(torqueWords));
  if (line.byHand) return words;
  const saved = savedHours(line);
  return [
    ...words,
    ...(saved > 0 ? [`${saved} h less: a step another line has, too, is paid once`] : []),
    ...(line.hoursFrom !== undefined ? [`${leastHours(line)} to ${line.hours} h, until more of the car is known`] : []),
  ];
}

function torqueWords(torque: NonNullable<LaborLine["torques"]>[number]): string {
  return `${showTorque(torque)}, from ${SOURCES[torque.from]}`;
}

/** What the guide's hours are made of; the same step at several positions once, with all its hours. */
export function includedWords(steps: readonly { title: string; hours: number }[]): string {
  const hoursOf = new Map<string, number>();
  for (const { title, hours } of steps) hoursOf.set(title, (hoursOf.get(title) ?? 0) + Math.round(hours * 10_000));
  return `Included: ${[...hoursOf].map(([title, hours]) => `${title.charAt(0).toLowerCase()}${title.slice(1)} ${hours / 10_000} h`).join("; ")}`;
}

const POWERS: Record<PowerGroup, string> = {
  combustion: "a combustion engine",
  spark: "an engine with spark plugs",
  diesel: "a diesel engine",
  hybrid: "a hybrid drive",
  highVoltage: "a high voltage drive",
  plug: "a charge port",
  electric: "an electric drive",
};
const DRIVES = {
  front: "front-wheel drive",
  rear: "rear-wheel drive",
  all: "all-wheel drive",
  rearAxle: "a driven rear axle",
} as const;
const LAYOUTS = { transverse: "an engine across", lengthwise: "an engine lengthwise", flat: "a flat engine" } as const;

/** Why there is nothing to do on a car. @example doesNotApplyWords({ fact: "power", is: "spark" }) //=> "Only for a car with an engine with spark plugs" */
export function doesNotApplyWords(condition: Condition): string {
  return `Only for a car with ${hasWords(condition)}`;
}

function hasWords(condition: Condition): string {
  switch (condition.fact) {
    case "power":
      return POWERS[condition.is];
    case "drive":
      return DRIVES[condition.is];
    case "layout":
      return LAYOUTS[condition.is];
    case "age":
      return "twelve years and more";
    case "rust":
      return `${condition.is} rust`;
  }
}

/** The spec a fact is written down as; what drives a car and its year stand in the car's record. */
const SPEC_OF: Partial<Record<FactName, SpecKey>> = {
  vehicleClass: "vehicleClass",
  layout: "engineLayout",
  rust: "rust",
  cylinders: "cylinders",
};

/** What can be asked and written down on the car, so that a job comes out exact. */
export function askable(unknown: readonly (FactName | SpecKey)[]): SpecKey[] {
  const keys = unknown.flatMap((each) => {
    const key = SPEC_OF[each as FactName] ?? SPEC_FIELDS.find((field) => field.key === each)?.key;
    return key ? [key] : [];
  });
  return [...new Set(keys)];
}

/** How a spec is called. */
export function specLabel(key: SpecKey): string {
  return SPEC_FIELDS.find((field) => field.key === key)?.label ?? key;
}
