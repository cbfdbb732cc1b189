import { CalcError } from "../../calc/error";
import { parseInput } from "../../calc/parse";
import { exact, roundPercent, roundProduct, roundRatio } from "../../exact/decimal";
import { spread } from "../../exact/spread";
import { checkReferences } from "./checkReferences";
import {
  priceInput,
  type DiscountInput,
  type JobInput,
  type LineInput,
  type PriceInput,
  type RulesInput,
} from "./input";
import { unitPriceFromCost } from "./unitPrice";

/** A discount as it is written, with what it came to on all lines that bear it. */
export interface TakenOff {
  /** Whose discount: the line's own, the job's, or a visit's with its id. */
  by: "line" | "job" | { visit: string };
  discount: DiscountInput;
  /** The nets it was taken of, in cents. */
  of: bigint;
  /** What it came to on this line, in cents. */
  cents: bigint;
}

/** One line while it is being priced; all money in cents. */
export interface WorkingLine {
  input: LineInput;
  payer: string;
  unitPrice: bigint | null;
  gross: bigint;
  setPrice: bigint;
  discount: bigint;
  net: bigint;
  /** The discounts it bears, in the order they were taken. */
  taken: TakenOff[];
}

/** What a line of a set price uses beyond what is included. */
export interface Extra {
  line: string;
  /** Ten-thousandths. */
  over: bigint;
  each: bigint;
  cents: bigint;
}

/** A job while it is being priced. */
export interface WorkingJob {
  input: JobInput;
  lines: WorkingLine[];
  extras: Extra[];
}

/** A quote worked through down to the net of each line; what remains is adding up. */
export interface WorkedQuote {
  input: PriceInput;
  jobs: WorkingJob[];
  lines: WorkingLine[];
}

/**
 * Works through rules 1 to 6: unit prices, gross, set prices and every discount, of the jobs that count.
 *
 * @param raw - a quote as `priceInput` describes it.
 * @throws {CalcError} with code and path for anything that does not fit.
 * @see calculations.md, price
 */
export function workThrough(raw: unknown): WorkedQuote {
  const input = parseInput(priceInput, raw);
  checkReferences(input);
  const jobs = input.jobs
    .filter(({ answer }) => input.count === "all" || answer === "approved")
    .map((job) => workJob(job, input.rules));
  const lines = jobs.flatMap((job) => job.lines);
  for (const { id, on, ...discount } of input.discounts ?? []) {
    const bearing = lines.filter(({ input: { kind } }) => kind !== "core" && (on === "all" || on === kind));
    takeOff({ visit: id }, discount, bearing);
  }
  return { input, jobs, lines };
}

/** What the lines come to. */
export function sumNets(lines: readonly WorkingLine[]): bigint {
  return lines.reduce((sum, { net }) => sum + net, 0n);
}

function workJob(job: JobInput, rules: RulesInput): WorkingJob {
  const lines = job.lines.map((line) => workLine(line, job.payer, rules));
  const bearing = lines.filter(({ input: { kind } }) => kind !== "core");
  const extras = job.setPrice ? extrasOf(job, job.setPrice) : [];
  if (job.setPrice) {
    const total = extras.reduce((sum, extra) => sum + extra.cents, BigInt(job.setPrice.price));
    const shares = spread(
      total,
      bearing.map(({ net }) => net),
    );
    bearing.forEach((line, index) => {
      line.setPrice = (shares[index] ?? 0n) - line.net;
      line.net += line.setPrice;
    });
  }
  if (job.discount) takeOff("job", job.discount, bearing);
  return { input: job, lines, extras };
}

function extrasOf(job: JobInput, { included }: NonNullable<JobInput["setPrice"]>): Extra[] {
  return (included ?? []).flatMap(({ line, quantity, extraEach }) => {
    const used = job.lines.find(({ id }) => id === line);
    const over = used && "quantity" in used ? exact(used.quantity) - exact(quantity) : 0n;
    const each = BigInt(extraEach);
    return over > 0n ? [{ line, over, each, cents: roundProduct(each, over) }] : [];
  });
}

function workLine(line: LineInput, payer: string, rules: RulesInput): WorkingLine {
  const unitPrice = unitPriceOf(line, rules);
  const gross = grossOf(line, unitPrice);
  const working: WorkingLine = {
    input: line,
    payer,
    unitPrice,
    gross,
    setPrice: 0n,
    discount: 0n,
    net: gross,
    taken: [],
  };
  if (line.kind !== "core" && line.discount) takeOff("line", line.discount, [working]);
  return working;
}

function unitPriceOf(line: LineInput, rules: RulesInput): bigint | null {
  switch (line.kind) {
    case "labor":
      return BigInt(line.rate);
    case "sublet":
      return null;
    case "core":
      return BigInt(line.price);
    case "part":
    case "fee": {
      if (line.price !== null && line.price !== undefined) return BigInt(line.price);
      const table = Object.hasOwn(rules.markup ?? {}, line.markup ?? "")
        ? rules.markup?.[line.markup ?? ""]
        : undefined;
      if (!table) throw new CalcError("unknown-reference", `no markup table for line "${line.id}"`, "rules.markup");
      return unitPriceFromCost(BigInt(line.cost ?? 0), table);
    }
  }
}

function grossOf(line: LineInput, unitPrice: bigint | null): bigint {
  switch (line.kind) {
    case "labor":
      return roundProduct(BigInt(line.rate), exact(line.hours));
    case "sublet":
      return roundRatio(BigInt(line.cost) * (1_000_000n + exact(line.percent)), 1_000_000n);
    default:
      return roundProduct(unitPrice ?? 0n, exact(line.quantity));
  }
}

/** Takes a discount off lines, spread by their nets. */
function takeOff(by: TakenOff["by"], discount: DiscountInput, lines: readonly WorkingLine[]): void {
  const of = sumNets(lines);
  const wanted =
    discount.percent !== null && discount.percent !== undefined
      ? roundPercent(of, exact(discount.percent))
      : BigInt(discount.amount ?? 0);
  const shares = spread(
    wanted < of ? wanted : of,
    lines.map((line) => line.net),
  );
  lines.forEach((line, index) => {
    const cents = shares[index] ?? 0n;
    line.discount += cents;
    line.net -= cents;
    line.taken.push({ by, discount, of, cents });
  });
}
