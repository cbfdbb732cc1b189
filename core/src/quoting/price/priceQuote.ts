import { CalcError } from "../../calc/error";
import { exact, roundProduct, roundedDecimal } from "../../exact/decimal";
import type { LineInput, LineKind } from "./input";
import { ofKind, totalPayer, type WorkedPayer } from "./totalPayer";
import { sumNets, workThrough, type WorkingLine } from "./workThrough";

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

/**
 * Prices a quote by the ten rules of calculations.md: unit prices, set prices, discounts, supplies, taxes, profit.
 *
 * @param raw - a quote as `priceInput` describes it.
 * @throws {CalcError} with code and path for anything that does not fit.
 * @see calculations.md, price
 */
export function priceQuote(raw: unknown): PricedQuote {
  const { input, jobs, lines } = workThrough(raw);
  const payers = input.payers.map((payer) => pricedPayer(totalPayer(payer, lines, input.rules)));
  return {
    lines: lines.map(({ input: { id }, unitPrice, gross, setPrice, discount, net }) => ({
      id,
      unitPrice: unitPrice === null ? null : cents(unitPrice),
      gross: cents(gross),
      setPrice: cents(setPrice),
      discount: cents(discount),
      net: cents(net),
    })),
    jobs: jobs.map((job) => ({ id: job.input.id, total: cents(sumNets(job.lines)) })),
    payers,
    total: cents(payers.reduce((sum, { total }) => sum + BigInt(total), 0n)),
    profit: profitOf(lines, payers),
  };
}

function pricedPayer({ id, lines, labor, supplies, taxes, total }: WorkedPayer): PricedPayer {
  const netOf = (kind: LineKind): number => cents(sumNets(lines.filter(ofKind(kind))));
  return {
    id,
    labor: cents(labor),
    part: netOf("part"),
    fee: netOf("fee"),
    sublet: netOf("sublet"),
    core: netOf("core"),
    supplies: cents(supplies.cents),
    discount: cents(lines.reduce((sum, line) => sum + line.discount, 0n)),
    taxes: Object.fromEntries(taxes.map((tax) => [tax.id, cents(tax.cents)])),
    total: cents(total),
  };
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

/** What a line costs the house, in cents. */
export function costOf(line: LineInput): bigint {
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

function cents(value: bigint): number {
  const number = Number(value);
  if (!Number.isSafeInteger(number))
    throw new CalcError("out-of-range", "the amounts are too large to add up exactly", "");
  return number;
}
