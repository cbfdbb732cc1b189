import { showMoney } from "../money/money";
import { CUSTOMER_PAYER } from "./priceWorkOrder";
import type { ExplainedUnitPrice } from "./price/explainUnitPrice";
import type { ExplainedStep, WrittenDiscount } from "./price/explainQuote";
import type { LineKind } from "./price/input";
import type { QuoteSlice } from "./slice";

export const KIND_TITLES: Readonly<Record<LineKind, string>> = {
  labor: "Labor",
  part: "Parts",
  fee: "Fees",
  sublet: "Work bought in",
  core: "Core deposits",
};

/**
 * One step of how a figure came about, in words; its figure stands beside it.
 * @example stepWords({ rule: "hours", hours: 1.3, rate: 13500, cents: 17550 }, { jobs: [] }) //=> "1.3 h at $135.00"
 */
export function stepWords(step: ExplainedStep, quote: QuoteSlice): string {
  switch (step.rule) {
    case "hours":
      return `${step.hours} h at ${showMoney(step.rate)}`;
    case "quantity":
      return `${step.quantity} × ${showMoney(step.each)}`;
    case "boughtIn":
      return `${showMoney(step.cost)} and ${step.percent}% on top`;
    case "setPrice":
      return `Its share of the set price of ${jobTitle(quote, step.jobId)}`;
    case "price":
      return "Set price";
    case "extra":
      return `${step.over} more of ${lineTitle(quote, step.lineId)} at ${showMoney(step.each)}`;
    case "discount":
      return `${discountTitle(step.by, quote)}: ${offWords(step.discount)} ${showMoney(step.of)}`;
    case "line":
      return lineTitle(quote, step.lineId);
    case "job":
      return jobTitle(quote, step.jobId);
    case "kind":
      return KIND_TITLES[step.kind];
    case "supplies":
      return "Shop supplies";
    case "percentOf":
      return `${step.percent}% of ${showMoney(step.of)}`;
    case "cap":
      return `At most ${showMoney(step.cap)}`;
    case "exempt":
      return "Exempt from tax";
    case "tax":
      return `Tax, ${step.taxId}`;
    case "payer":
      return payerName(quote, step.payerId);
  }
}

/** How a price came out of a cost and a table, sentence by sentence. */
export function unitPriceWords(
  { cost, band, plain, floor, ending, price }: ExplainedUnitPrice,
  table: string,
): string[] {
  const upTo = band.upTo === null ? "for a cost without limit" : `for a cost up to ${showMoney(band.upTo)}`;
  return [
    `Cost ${showMoney(cost)} × ${band.times}, table “${table}” ${upTo}: ${showMoney(plain)}`,
    ...(floor ? [`Not below ${showMoney(floor.price)}, what a part at ${showMoney(floor.upTo)} sells for`] : []),
    ...(ending === null ? [] : [`Raised to end in ${String(ending).padStart(2, "0")}: ${showMoney(price)}`]),
  ];
}

/** Who pays, as it is read. */
export function payerName({ payers = [] }: Pick<QuoteSlice, "payers">, payerId: string): string {
  if (payerId === CUSTOMER_PAYER) return "The customer";
  return payers.find(({ id }) => id === payerId)?.name ?? "The customer";
}

function offWords(off: WrittenDiscount): string {
  return "percent" in off ? `${off.percent}% of` : `${showMoney(off.amount)} at most of`;
}

function discountTitle(by: Extract<ExplainedStep, { rule: "discount" }>["by"], { discounts = [] }: QuoteSlice): string {
  if (by === "line") return "Less on the line";
  if (by === "job") return "Less on the job";
  return discounts.find(({ id }) => id === by.visit)?.title ?? "Discount";
}

function jobTitle({ jobs }: QuoteSlice, jobId: string): string {
  return jobs.find(({ id }) => id === jobId)?.title ?? "the job";
}

function lineTitle({ jobs }: QuoteSlice, lineId: string): string {
  return jobs.flatMap(({ lines }) => lines).find(({ id }) => id === lineId)?.description ?? "a line";
}
