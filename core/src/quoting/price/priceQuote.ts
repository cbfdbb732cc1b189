import { CalcError } from "../../calc/error";
import { parseInput } from "../../calc/parse";
import { exact, roundPercent, roundProduct, roundRatio, roundedDecimal } from "../../exact/decimal";
import { spread } from "../../exact/spread";
import { checkReferences } from "./checkReferences";
import {
  priceInput,
  type DiscountInput,
  type JobInput,
  type LineInput,
  type LineKind,
  type PriceInput,
  type RulesInput,
} from "./input";
import { unitPriceFromCost } from "./unitPrice";

export interface PricedLine {
  id: string;
  unitPrice: number | null;
  gross: number;
  setPrice: number;
  discount: number;
  net: number;
}
export interface PricedPayer {
  id: string;
  labor: number;
  part: number;
  fee: number;
  sublet: number;
  core: number;
  supplies: number;
  discount: number;
  taxes: Record<string, number>;
  total: number;
}
export interface Profit {
  revenue: number;
  cost: number;
  gross: number;
  marginPercent: number | null;
}
/** A priced quote; all money in whole cents. */
export interface PricedQuote {
  lines: PricedLine[];
  jobs: { id: string; total: number }[];
  payers: PricedPayer[];
  total: number;
  profit: Profit;
}

/** One line while it is being priced. */
interface WorkingLine {
  input: LineInput;
  payer: string;
  unitPrice: bigint | null;
  gross: bigint;
  setPrice: bigint;
  discount: bigint;
  net: bigint;
}

/**
 * Prices a quote by the ten rules of calculations.md: unit prices, set prices, discounts, supplies, taxes, profit.
 *
 * @param raw - a quote as `priceInput` describes it.
 * @throws {CalcError} with code and path for anything that does not fit.
 * @see calculations.md, price
 */
export function priceQuote(raw: unknown): PricedQuote {
  const input = parseInput(priceInput, raw);
  checkReferences(input);
  const jobs = input.jobs
    .filter(({ answer }) => input.count === "all" || answer === "approved")
    .map((job) => ({ id: job.id, lines: priceJob(job, input.rules) }));
  const lines = jobs.flatMap((job) => job.lines);
  for (const discount of input.discounts ?? []) {
    const bearing = lines.filter(
      ({ input: { kind } }) => kind !== "core" && (discount.on === "all" || discount.on === kind),
    );
    takeOff(discount, bearing);
  }
  const payers = input.payers.map((payer) =>
    totalPayer(
      payer,
      lines.filter((line) => line.payer === payer.id),
      input.rules,
    ),
  );
  return {
    lines: lines.map(({ input: { id }, unitPrice, gross, setPrice, discount, net }) => ({
      id,
      unitPrice: unitPrice === null ? null : cents(unitPrice),
      gross: cents(gross),
      setPrice: cents(setPrice),
      discount: cents(discount),
      net: cents(net),
    })),
    jobs: jobs.map(({ id, lines: own }) => ({ id, total: cents(sumNets(own)) })),
    payers,
    total: cents(payers.reduce((sum, { total }) => sum + BigInt(total), 0n)),
    profit: profitOf(lines, payers),
  };
}

function priceJob(job: JobInput, rules: RulesInput): WorkingLine[] {
  const lines = job.lines.map((line) => priceLine(line, job.payer, rules));
  const bearing = lines.filter(({ input: { kind } }) => kind !== "core");
  if (job.setPrice) {
    const extras = (job.setPrice.included ?? []).map(({ line, quantity, extraEach }) => {
      const used = job.lines.find(({ id }) => id === line);
      const over = used && "quantity" in used ? exact(used.quantity) - exact(quantity) : 0n;
      return over > 0n ? roundProduct(BigInt(extraEach), over) : 0n;
    });
    const total = extras.reduce((sum, extra) => sum + extra, BigInt(job.setPrice.price));
    const shares = spread(
      total,
      bearing.map(({ net }) => net),
    );
    bearing.forEach((line, index) => {
      line.setPrice = (shares[index] ?? 0n) - line.net;
      line.net += line.setPrice;
    });
  }
  if (job.discount) takeOff(job.discount, bearing);
  return lines;
}

function priceLine(line: LineInput, payer: string, rules: RulesInput): WorkingLine {
  const unitPrice = unitPriceOf(line, rules);
  const gross = grossOf(line, unitPrice);
  const working: WorkingLine = { input: line, payer, unitPrice, gross, setPrice: 0n, discount: 0n, net: gross };
  if (line.kind !== "core" && line.discount) takeOff(line.discount, [working]);
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
function takeOff(discount: DiscountInput, lines: WorkingLine[]): void {
  const net = sumNets(lines);
  const wanted =
    discount.percent !== null && discount.percent !== undefined
      ? roundPercent(net, exact(discount.percent))
      : BigInt(discount.amount ?? 0);
  const shares = spread(
    wanted < net ? wanted : net,
    lines.map((line) => line.net),
  );
  lines.forEach((line, index) => {
    const share = shares[index] ?? 0n;
    line.discount += share;
    line.net -= share;
  });
}

function totalPayer(payer: PriceInput["payers"][number], lines: WorkingLine[], rules: RulesInput): PricedPayer {
  const netOf = (kind: LineKind): bigint => sumNets(lines.filter(({ input }) => input.kind === kind));
  const labor = netOf("labor");
  const supplies = suppliesOn(labor, rules);
  const taxes = (rules.taxes ?? []).map((tax) => {
    if (payer.taxExempt === true) return [tax.id, 0n] as const;
    const taxed = lines.filter(({ input }) =>
      input.taxes ? input.taxes.includes(tax.id) : tax.on.includes(input.kind),
    );
    const base = sumNets(taxed) + (tax.on.includes("fee") ? supplies : 0n);
    return [tax.id, roundPercent(base, exact(tax.percent))] as const;
  });
  const total = sumNets(lines) + supplies + taxes.reduce((sum, [, tax]) => sum + tax, 0n);
  return {
    id: payer.id,
    labor: cents(labor),
    part: cents(netOf("part")),
    fee: cents(netOf("fee")),
    sublet: cents(netOf("sublet")),
    core: cents(netOf("core")),
    supplies: cents(supplies),
    discount: cents(lines.reduce((sum, line) => sum + line.discount, 0n)),
    taxes: Object.fromEntries(taxes.map(([id, tax]) => [id, cents(tax)])),
    total: cents(total),
  };
}

function suppliesOn(labor: bigint, { supplies }: RulesInput): bigint {
  if (!supplies) return 0n;
  const wanted = roundPercent(labor, exact(supplies.percentOfLabor));
  const cap = supplies.cap ?? null;
  return cap !== null && wanted > BigInt(cap) ? BigInt(cap) : wanted;
}

function profitOf(lines: WorkingLine[], payers: PricedPayer[]): Profit {
  const supplies = payers.reduce((sum, payer) => sum + BigInt(payer.supplies), 0n);
  const revenue = sumNets(lines.filter(({ input }) => input.kind !== "core")) + supplies;
  const cost = lines.reduce((sum, { input }) => sum + costOf(input), 0n);
  const gross = revenue - cost;
  return {
    revenue: cents(revenue),
    cost: cents(cost),
    gross: cents(gross),
    marginPercent: revenue === 0n ? null : roundedDecimal(gross * 100n, revenue, 1),
  };
}

function costOf(line: LineInput): bigint {
  switch (line.kind) {
    case "part":
      return roundProduct(BigInt(line.cost), exact(line.quantity));
    case "sublet":
      return BigInt(line.cost);
    case "labor":
      return roundProduct(BigInt(line.wage ?? 0), exact(line.paidHours ?? line.hours));
    default:
      return 0n;
  }
}

function sumNets(lines: readonly WorkingLine[]): bigint {
  return lines.reduce((sum, { net }) => sum + net, 0n);
}

function cents(value: bigint): number {
  const number = Number(value);
  if (!Number.isSafeInteger(number))
    throw new CalcError("out-of-range", "the amounts are too large to add up exactly", "");
  return number;
}
