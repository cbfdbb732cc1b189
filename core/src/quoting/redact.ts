import { hasRight, type Actor } from "../access/rights";
import { exact, roundRatio } from "../exact/decimal";
import type { JobVariant, LibraryJob } from "./libraryJob";
import type { LaborLine, PartLine, QuoteLine } from "./quoteLine";
import type { MoneyRules } from "./moneyRules";
import { unitPriceFromCost } from "./price/unitPrice";

/** Whoever looks. */
export type Viewer = Pick<Actor, "rights">;

/** The library as a person may see it: without the right to see cost, prices instead of costs and markups. */
export function redactLibrary(library: readonly LibraryJob[], rules: MoneyRules, viewer: Viewer): LibraryJob[] {
  if (hasRight(viewer, "seeCost")) return [...library];
  return library.map((job) => ({
    ...job,
    lines: job.lines.map((line) => redactLine(line, rules)),
    fits: job.fits.map((fit) => ({
      ...fit,
      grades: fit.grades.map((grade) => redactPart(job, fit.lineId, grade, rules)),
    })),
    variants: job.variants.map((variant) => ({
      ...variant,
      parts: variant.parts.map((part) => redactPart(job, part.lineId, part, rules)),
    })),
  }));
}

/** Money rules for who may not see cost: no wage and no markup. */
export function redactRules(rules: MoneyRules): MoneyRules {
  const { pay: _pay, targetMarginPercent: _target, ...others } = rules;
  return { ...others, wageCents: null, pricing: { ...rules.pricing, markup: null } };
}

type OtherPart = JobVariant["parts"][number] | LibraryJob["fits"][number]["grades"][number];

/** A part of another grade or quality, with the price it sells at instead of its cost. */
function redactPart<Part extends OtherPart>(job: LibraryJob, lineId: string, part: Part, rules: MoneyRules): Part {
  const line = job.lines.find(({ id }) => id === lineId);
  if (line?.kind !== "part") return { ...part, costCents: null };
  const { costCents, priceCents } = redactPartLine({ ...line, ...part, id: line.id }, rules);
  return { ...part, costCents, priceCents };
}

/** The part keeps the price it sells at, so that totals stay the same without its cost. */
export function redactLine(line: QuoteLine, rules: MoneyRules): QuoteLine {
  if (line.kind === "labor") return { ...withoutCredit(line), wageCents: null, paidHours: null };
  if (line.kind === "sublet") return redactSublet(line);
  return line.kind === "part" ? redactPartLine(line, rules) : line;
}

/** Work bought in is told at what it sells at. */
function redactSublet(line: Extract<QuoteLine, { kind: "sublet" }>): QuoteLine {
  if (line.costCents === null) return line;
  const sells = roundRatio(BigInt(line.costCents) * (1_000_000n + exact(line.percent)), 1_000_000n);
  return { ...line, costCents: null, percent: 0, priceCents: Number(sells) };
}

/** Who does it is no secret; what they are credited with is. */
function withoutCredit(line: LaborLine): LaborLine {
  return line.assigned ? { ...line, assigned: line.assigned.map((each) => ({ ...each, hours: null })) } : line;
}

function redactPartLine(line: PartLine, rules: MoneyRules): PartLine {
  const tables = rules.pricing.markup ?? {};
  const table = line.markup !== null && Object.hasOwn(tables, line.markup) ? tables[line.markup] : undefined;
  const computed = table && line.costCents !== null ? Number(unitPriceFromCost(BigInt(line.costCents), table)) : 0;
  return { ...line, costCents: null, markup: null, priceCents: line.priceCents ?? computed };
}
