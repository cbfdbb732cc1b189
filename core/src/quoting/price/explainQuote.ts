import { fromTenThousandths } from "../../exact/decimal";
import { explainUnitPrice, type ExplainedUnitPrice } from "./explainUnitPrice";
import type { DiscountInput, LineInput, LineKind, PriceInput, RulesInput } from "./input";
import { costOf } from "./priceQuote";
import { totalPayer, type WorkedPayer } from "./totalPayer";
import { sumNets, workThrough, type TakenOff, type WorkingJob, type WorkingLine } from "./workThrough";

/** A discount as it is written: one of the two. */
export type WrittenDiscount = { percent: number } | { amount: number };

/** One rule's share of a figure, in cents; the shares of a figure add up to it. */
export type ExplainedStep = { cents: number } & (
  | { rule: "hours"; hours: number; rate: number }
  | { rule: "quantity"; quantity: number; each: number }
  | { rule: "boughtIn"; cost: number; percent: number }
  /** What a set price changed a line by. */
  | { rule: "setPrice"; jobId: string }
  | { rule: "price" }
  | { rule: "extra"; lineId: string; over: number; each: number }
  | { rule: "discount"; by: TakenOff["by"]; discount: WrittenDiscount; of: number }
  | { rule: "line"; lineId: string }
  | { rule: "job"; jobId: string }
  | { rule: "kind"; kind: LineKind }
  | { rule: "supplies" }
  | { rule: "percentOf"; percent: number; of: number }
  | { rule: "cap"; cap: number }
  | { rule: "exempt" }
  | { rule: "tax"; taxId: string }
  | { rule: "payer"; payerId: string }
);

/** A figure and how it came about; money in cents. */
export interface Explained {
  cents: number;
  steps: ExplainedStep[];
}

/** A line's net, with how its unit price came out of its cost where it did, and what it costs. */
export interface ExplainedLine extends Explained {
  unitPrice: ExplainedUnitPrice | null;
  /** What the house pays for it. */
  cost: number;
}

/** What one payer owes. */
export interface ExplainedPayer extends Explained {
  /** How supplies came out of labor. */
  supplies: Explained;
  /** By the id of the tax: what it is taken of, and its share. */
  taxes: ReadonlyMap<string, Explained & { base: Explained }>;
}

/** Every figure of a priced quote with how it came about. */
export interface ExplainedQuote {
  lines: ReadonlyMap<string, ExplainedLine>;
  jobs: ReadonlyMap<string, Explained>;
  payers: ReadonlyMap<string, ExplainedPayer>;
  total: Explained;
}

/**
 * Explains what `priceQuote` comes to, rule by rule: the steps of each figure add up to it to the cent.
 *
 * @param raw - a quote as `priceInput` describes it.
 * @throws {CalcError} as `priceQuote`.
 * @see calculations.md, price
 */
export function explainQuote(raw: unknown): ExplainedQuote {
  const { input, jobs, lines } = workThrough(raw);
  const payers = input.payers.map((payer) => totalPayer(payer, lines, input.rules));
  const jobOf = new Map(jobs.flatMap((job) => job.lines.map((line) => [line.input.id, job.input.id] as const)));
  return {
    lines: new Map(
      lines.map((line) => [line.input.id, explainLine(line, jobOf.get(line.input.id) ?? "", input.rules)]),
    ),
    jobs: new Map(jobs.map((job) => [job.input.id, explainJob(job)])),
    payers: new Map(payers.map((payer) => [payer.id, explainPayer(payer, jobs, input)])),
    total: {
      cents: Number(payers.reduce((sum, { total }) => sum + total, 0n)),
      steps: payers.map(({ id, total }) => ({ rule: "payer", payerId: id, cents: Number(total) })),
    },
  };
}

function explainLine(line: WorkingLine, jobId: string, { markup }: RulesInput): ExplainedLine {
  const setPrice: ExplainedStep[] =
    line.setPrice === 0n ? [] : [{ rule: "setPrice", jobId, cents: Number(line.setPrice) }];
  // A line's own discount is taken before a set price could be; a job with one has no such line.
  return {
    cents: Number(line.net),
    steps: [grossStep(line), ...setPrice, ...line.taken.filter(({ cents }) => cents > 0n).map(discountStep)],
    unitPrice: unitPriceOf(line.input, markup),
    cost: Number(costOf(line.input)),
  };
}

function grossStep({ input, gross, unitPrice }: WorkingLine): ExplainedStep {
  const cents = Number(gross);
  switch (input.kind) {
    case "labor":
      return { rule: "hours", hours: input.hours, rate: input.rate, cents };
    case "sublet":
      return { rule: "boughtIn", cost: input.cost, percent: input.percent, cents };
    default:
      return { rule: "quantity", quantity: input.quantity, each: Number(unitPrice ?? 0n), cents };
  }
}

function unitPriceOf(line: LineInput, markup: RulesInput["markup"]): ExplainedUnitPrice | null {
  if (line.kind !== "part" && line.kind !== "fee") return null;
  if ((line.price ?? null) !== null) return null;
  const name = line.markup ?? "";
  const table = Object.hasOwn(markup ?? {}, name) ? markup?.[name] : undefined;
  return table ? explainUnitPrice(line.cost ?? 0, table) : null;
}

function discountStep({ by, discount, of, cents }: TakenOff): ExplainedStep {
  return { rule: "discount", by, discount: written(discount), of: Number(of), cents: -Number(cents) };
}

function written({ percent, amount }: DiscountInput): WrittenDiscount {
  return percent !== null && percent !== undefined ? { percent } : { amount: amount ?? 0 };
}

/** A set price with what goes beyond it and what is taken off; else its lines. Cores stand by themselves either way. */
function explainJob({ input, lines, extras }: WorkingJob): Explained {
  const cents = Number(sumNets(lines));
  const lineStep = ({ input: { id }, net }: WorkingLine): ExplainedStep => ({
    rule: "line",
    lineId: id,
    cents: Number(net),
  });
  const bearing = lines.filter(({ input: { kind } }) => kind !== "core");
  if (!input.setPrice || bearing.length === 0) return { cents, steps: lines.map(lineStep) };
  return {
    cents,
    steps: [
      { rule: "price", cents: input.setPrice.price },
      ...extras.map(({ line, over, each, cents: extra }): ExplainedStep => ({
        ...{ rule: "extra", lineId: line, over: fromTenThousandths(over), each: Number(each), cents: Number(extra) },
      })),
      ...together(bearing),
      ...lines.filter(({ input: { kind } }) => kind === "core").map(lineStep),
    ],
  };
}

/** The discounts of several lines, each once with its sum. */
function together(lines: readonly WorkingLine[]): ExplainedStep[] {
  const sums = new Map<string, TakenOff>();
  for (const taken of lines.flatMap((line) => line.taken)) {
    const key = JSON.stringify(taken.by);
    const before = sums.get(key);
    sums.set(key, { ...taken, cents: (before?.cents ?? 0n) + taken.cents });
  }
  return [...sums.values()].filter(({ cents }) => cents > 0n).map(discountStep);
}

function explainPayer(payer: WorkedPayer, jobs: readonly WorkingJob[], { rules }: PriceInput): ExplainedPayer {
  const supplies = explainSupplies(payer, rules);
  const ownJobs = jobs.filter(({ input }) => input.payer === payer.id);
  const suppliesStep: ExplainedStep[] = supplies.cents === 0 ? [] : [{ rule: "supplies", cents: supplies.cents }];
  return {
    cents: Number(payer.total),
    steps: [
      ...ownJobs.map(({ input: { id }, lines }): ExplainedStep => ({
        ...{ rule: "job", jobId: id, cents: Number(sumNets(lines)) },
      })),
      ...suppliesStep,
      ...payer.taxes.map(({ id, cents }): ExplainedStep => ({ rule: "tax", taxId: id, cents: Number(cents) })),
    ],
    supplies,
    taxes: new Map(
      payer.taxes.map(({ id, percent, isExempt, lines, supplies: taxed, base, cents }) => [
        id,
        {
          cents: Number(cents),
          steps: [
            isExempt
              ? { rule: "exempt", cents: 0 }
              : { rule: "percentOf", percent, of: Number(base), cents: Number(cents) },
          ],
          base: {
            cents: Number(base),
            steps: [...byKind(lines), ...(taxed === 0n ? [] : [{ rule: "supplies" as const, cents: Number(taxed) }])],
          },
        },
      ]),
    ),
  };
}

function explainSupplies({ labor, supplies: { wanted, cents } }: WorkedPayer, { supplies }: RulesInput): Explained {
  if (!supplies) return { cents: 0, steps: [] };
  const { percentOfLabor: percent } = supplies;
  const share: ExplainedStep = { rule: "percentOf", percent, of: Number(labor), cents: Number(wanted) };
  const over = Number(cents - wanted);
  return {
    cents: Number(cents),
    steps: over === 0 ? [share] : [share, { rule: "cap", cap: Number(cents), cents: over }],
  };
}

/** What the lines of each kind come to, in the order they first appear. */
function byKind(lines: readonly WorkingLine[]): ExplainedStep[] {
  const sums = new Map<LineKind, bigint>();
  for (const { input, net } of lines) sums.set(input.kind, (sums.get(input.kind) ?? 0n) + net);
  return [...sums].map(([kind, cents]) => ({ rule: "kind", kind, cents: Number(cents) }));
}
