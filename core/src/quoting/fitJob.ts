import type { Condition, LaborGuide } from "../laborGuide/guide";
import type { CarFacts, FactName, FactSource } from "../laborGuide/carFacts";
import { showPositions, type Position } from "../laborGuide/position";
import { resolveOperation, type ResolvedStep } from "../laborGuide/resolveOperation";
import { exact, fromTenThousandths } from "../exact/decimal";
import type { SpecKey } from "../vehicles/specs/specSheet";
import type { JobVariant, LibraryJob, LineFit } from "./libraryJob";
import type { LaborLine, LineSource, PartLine, QuoteLine } from "./quoteLine";

/** What a library job is fitted with. */
export interface JobFit {
  facts: CarFacts;
  positions: readonly Position[];
  /** Null: as it is kept. */
  variantId: string | null;
  /** It is for a time after the hours of work. */
  isAfterHours?: boolean | undefined;
}

/** A library job as it is on one car. */
export interface FittedJob {
  title: string;
  /** In the library's order, with its ids. */
  lines: QuoteLine[];
  /** Why there is nothing to do on this car; null: there is. */
  doesNotApply: Condition | null;
  /** What of the car would make hours and amounts exact. */
  unknown: (FactName | SpecKey)[];
  /** The guide has no hours for this class of vehicle: the library's own stand. */
  isWithoutHours: boolean;
}

type OtherPart = JobVariant["parts"][number];

/**
 * Fits a library job to a car: hours of the guide, counts and amounts, grades and sizes, the chosen positions and quality,
 * each with where it comes from. What is not known stays as the library has it.
 */
export function fitJob(job: LibraryJob, fit: JobFit, guide: LaborGuide | undefined): FittedJob {
  const fitted: FittedJob = {
    title: fit.positions.length === 0 ? job.title : `${job.title}, ${showPositions(fit.positions)}`,
    lines: [],
    doesNotApply: null,
    unknown: [],
    isWithoutHours: false,
  };
  const variant = job.variants.find(({ id }) => id === fit.variantId);
  for (const line of job.lines) {
    const part = variant?.parts.find(({ lineId }) => lineId === line.id);
    const chosen = part && line.kind === "part" ? withPart(line, part) : line;
    const how = job.fits.find(({ lineId }) => lineId === line.id);
    const there = how ? fitLine(chosen, how, fit, guide, fitted) : chosen;
    fitted.lines.push(how && !isThere(how, fit, fitted) ? withNone(there) : there);
  }
  fitted.unknown = [...new Set(fitted.unknown)];
  return fitted;
}

/** Whether a line is there on this car; where nobody knows what decides it, it is not, and is asked about. */
function isThere({ onlyWhere }: LineFit, { facts }: JobFit, fitted: FittedJob): boolean {
  if (onlyWhere === null) return true;
  const spec = facts.specs[onlyWhere.spec];
  if (!spec) fitted.unknown.push(onlyWhere.spec);
  return spec?.value === onlyWhere.value;
}

/** A line that is not there on a car: none of it, which costs nothing. */
function withNone(line: QuoteLine): QuoteLine {
  if (line.kind === "sublet") return line;
  return line.kind === "labor" ? { ...line, hours: 0, steps: [] } : { ...line, quantity: 0 };
}

/** A part line of another quality. */
function withPart(line: PartLine, { description, costCents, priceCents, partNumber, brand }: OtherPart): PartLine {
  return { ...line, description, costCents, priceCents, partNumber, brand };
}

function fitLine(
  line: QuoteLine,
  how: LineFit,
  fit: JobFit,
  guide: LaborGuide | undefined,
  fitted: FittedJob,
): QuoteLine {
  if (line.kind === "labor")
    return withTorques(guide ? fitLabor(line, how.operations, fit, guide, fitted) : line, how, fit);
  if (line.kind === "sublet") return line;
  return fitGrade(fitCount(line, how, fit, fitted), how, fit, fitted);
}

/** What a spec says of the torques of a line; one that is not known is looked up on the car. */
function withTorques(line: LaborLine, { torques }: LineFit, { facts }: JobFit): LaborLine {
  const known = torques.flatMap((key) => {
    const spec = facts.specs[key];
    return spec ? [{ key, value: spec.value, from: spec.from }] : [];
  });
  return known.length > 0 ? { ...line, torques: known } : line;
}

/** Hours of the guide, with the steps they are made of. */
function fitLabor(
  line: LaborLine,
  operations: readonly string[],
  { facts, positions }: JobFit,
  guide: LaborGuide,
  fitted: FittedJob,
): LaborLine {
  const steps = new Map<string, ResolvedStep>();
  for (const id of operations) {
    const resolved = resolveOperation(guide, id, facts, positions);
    if (resolved.kind === "doesNotApply") fitted.doesNotApply ??= resolved.because;
    if (resolved.kind !== "hours") {
      fitted.isWithoutHours ||= resolved.kind === "noHours";
      return { ...line, sources: [{ of: "hours", from: "library" }] };
    }
    fitted.unknown.push(...resolved.unknown);
    for (const step of resolved.steps) if (!steps.has(step.key)) steps.set(step.key, step);
  }
  if (steps.size === 0) return line;
  const done = [...steps.values()];
  const hours = done.reduce((sum, step) => sum + exact(step.hours), 0n);
  const hoursFrom = done.reduce((sum, step) => sum + exact(step.hoursFrom), 0n);
  return {
    ...line,
    hours: fromTenThousandths(hours),
    operations: [...operations],
    steps: done.map(toLineStep),
    sources: [{ of: "hours", from: "guide" }],
    ...(hoursFrom < hours ? { hoursFrom: fromTenThousandths(hoursFrom) } : {}),
  };
}

/** A step as a line keeps it. */
export function toLineStep({ key, title, hours }: ResolvedStep): { key: string; title: string; hours: number } {
  return { key, title, hours };
}

type Counted = Exclude<QuoteLine, { kind: "labor" | "sublet" }>;

/** No car holds more of anything; a spec that says so is none. */
const MOST_OF_A_SPEC = 1000;

/** How many: by positions, by cylinders, or by what a spec says. */
function fitCount(line: Counted, { count }: LineFit, { facts, positions }: JobFit, fitted: FittedJob): Counted {
  switch (count?.by) {
    case undefined:
      return line;
    case "positions":
      // As it is kept is for one position; a job that was given none keeps its count.
      return positions.length === 0 ? line : { ...line, quantity: times(line.quantity, positions.length) };
    case "cylinders":
      if (facts.cylinders) return from({ ...line, quantity: facts.cylinders.value }, "quantity", facts.cylinders.from);
      fitted.unknown.push("cylinders");
      return from(line, "quantity", "library");
    case "spec": {
      const spec = facts.specs[count.key];
      const amount = Number(spec?.value);
      if (spec && amount > 0 && amount <= MOST_OF_A_SPEC)
        return from({ ...line, quantity: inUnits(amount, count.unit, count.whole) }, "quantity", spec.from);
      fitted.unknown.push(count.key);
      return from(line, "quantity", "library");
    }
  }
}

const times = (quantity: number, count: number): number => fromTenThousandths(exact(quantity) * BigInt(count));

/** So many units hold an amount; sold whole they are rounded up, else to a hundredth up. */
function inUnits(amount: number, unit: number, isWhole: boolean): number {
  const parts = isWhole ? 1 : 100;
  // What is left of a float's own error is no reason for another bottle.
  return Math.ceil(Number(((amount / unit) * parts).toFixed(6))) / parts;
}

/** The grade or size a spec says, and the part that goes with it. */
function fitGrade(line: Counted, { spec: key, grades }: LineFit, { facts }: JobFit, fitted: FittedJob): Counted {
  if (key === null) return line;
  const spec = facts.specs[key];
  if (!spec) {
    fitted.unknown.push(key);
    return from(line, "grade", "library");
  }
  const grade = grades.find(({ value }) => value === spec.value);
  const named = { ...line, description: `${line.description}, ${spec.value}` };
  if (!grade || named.kind !== "part") return from(named, "grade", spec.from);
  const { costCents, priceCents, partNumber, brand } = grade;
  return from({ ...named, costCents, priceCents, partNumber, brand }, "grade", spec.from);
}

function from(line: Counted, of: LineSource["of"], source: FactSource | "library"): Counted {
  return { ...line, sources: [...(line.sources ?? []), { of, from: source }] };
}
