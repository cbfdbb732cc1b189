import {
  JOB_CONDITIONS,
  JOB_RIGHTS,
  readMoney,
  type LibraryJob,
  type MoneyRules,
  type QuoteLine,
} from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { readAmount } from "../work/readAmount";

const MOST_TITLE = 120;
const LINE_KINDS = ["labor", "part", "fee", "core"] as const;
export type TypedLine = z.input<typeof typedLine>;

const typedLine = z.object({
  id: z.string(),
  kind: z.enum(LINE_KINDS),
  description: z.string(),
  /** Hours of labor, how many of anything else. */
  amount: z.string(),
  /** A rate or price of its own; empty: the house's rates, or made from the cost. */
  price: z.string(),
  /** Of a part. */
  cost: z.string(),
  /** Of a part: the table its price is made by; empty: it has a price of its own. */
  markup: z.string(),
  partNumber: z.string(),
  brand: z.string(),
});

/** A job of the library as it is typed. */
export const typedJob = z.object({
  title: z.string(),
  area: z.string(),
  customerWords: z.string(),
  mechanicWords: z.string(),
  skill: z.string(),
  place: z.array(z.enum(JOB_CONDITIONS)),
  rights: z.array(z.enum(JOB_RIGHTS)),
  isDiagnosis: z.boolean(),
  isFavorite: z.boolean(),
  companions: z.array(z.string()),
  curesPoints: z.array(z.string()),
  answersConcerns: z.array(z.string()),
  lines: z.array(typedLine),
});
export type TypedJob = z.input<typeof typedJob>;

const isMoneyOrNothing = (typed: string): boolean => typed.trim() === "" || readMoney(typed) !== null;
const AMOUNT = "an amount looks like 84.50";
const readLine = typedLine
  .extend({ description: z.string().trim().min(1, "what it is").max(200, "up to 200 letters") })
  .superRefine(({ kind, amount, price, cost, markup }, context) => {
    const fault = (path: string, message: string): void => context.addIssue({ code: "custom", path: [path], message });
    if (readAmount(amount) === null) fault("amount", "a number like 1 or 7.6");
    if (!isMoneyOrNothing(price)) fault("price", AMOUNT);
    if (!isMoneyOrNothing(cost)) fault("cost", AMOUNT);
    const hasPrice = price.trim() !== "";
    if (kind === "part" && !hasPrice && (markup === "" || cost.trim() === ""))
      fault("price", "a price, or a cost with a table");
    if ((kind === "fee" || kind === "core") && !hasPrice) fault("price", AMOUNT);
  });

/** What was typed, read. */
export const readJob = typedJob.extend({
  title: z.string().trim().min(1, "a title is needed").max(MOST_TITLE, `up to ${MOST_TITLE} letters`),
  area: z.string().trim().min(1, "an area is needed").max(60, "up to 60 letters"),
  lines: z.array(readLine),
});

const moneyOf = (cents: number | null): string => (cents === null ? "" : (cents / 100).toFixed(2));
const NO_PART = { cost: "", markup: "", partNumber: "", brand: "" };

function typedLineOf(line: QuoteLine): TypedLine {
  const { id, kind, description } = line;
  if (line.kind === "labor")
    return {
      id,
      kind,
      description,
      amount: String(line.hours),
      price: line.priceByHand ? moneyOf(line.rateCents) : "",
      ...NO_PART,
    };
  const base = { id, kind, description, amount: String(line.quantity), price: moneyOf(line.priceCents) };
  if (line.kind !== "part") return { ...base, ...NO_PART };
  const { costCents, markup, partNumber, brand } = line;
  return { ...base, cost: moneyOf(costCents), markup: markup ?? "", partNumber: partNumber ?? "", brand: brand ?? "" };
}

/** A job of the library, as it would be typed. */
export function typedJobOf(job: LibraryJob): TypedJob {
  return {
    title: job.title,
    area: job.area,
    customerWords: job.words.customer,
    mechanicWords: job.words.mechanic,
    skill: job.needs.skill ?? "",
    place: [...job.needs.place],
    rights: [...job.needs.rights],
    isDiagnosis: job.isDiagnosis,
    isFavorite: job.isFavorite,
    companions: [...job.companions],
    curesPoints: [...job.curesPoints],
    answersConcerns: [...job.answersConcerns],
    lines: job.lines.map(typedLineOf),
  };
}

/** An empty line of a kind. */
export function newTypedLine(kind: TypedLine["kind"]): TypedLine {
  return { id: uuid(), kind, description: "", amount: "1", price: "", ...NO_PART };
}

const centsOf = (typed: string): number | null => (typed.trim() === "" ? null : readMoney(typed));
const wordsOrNothing = (typed: string): string | null => (typed.trim() === "" ? null : typed.trim());

function lineOf(typed: z.output<typeof readLine>, rules: Pick<MoneyRules, "laborRateCents" | "wageCents">): QuoteLine {
  const { id, kind, description } = typed;
  const amount = readAmount(typed.amount) ?? 0;
  const priceCents = centsOf(typed.price);
  if (kind === "labor")
    return {
      id,
      kind,
      description,
      hours: amount,
      rateCents: priceCents ?? rules.laborRateCents,
      wageCents: rules.wageCents,
      paidHours: null,
      ...(priceCents === null ? {} : { priceByHand: true }),
    };
  if (kind !== "part") return { id, kind, description, quantity: amount, priceCents: priceCents ?? 0 };
  return {
    id,
    kind,
    description,
    quantity: amount,
    costCents: centsOf(typed.cost) ?? 0,
    markup: wordsOrNothing(typed.markup),
    priceCents,
    partNumber: wordsOrNothing(typed.partNumber),
    brand: wordsOrNothing(typed.brand),
  };
}

/** A job with what was typed; how its lines fit themselves to a car stays, as far as the lines do. */
export function changedJob(job: LibraryJob, typed: z.output<typeof readJob>, rules: MoneyRules): LibraryJob {
  const lines = typed.lines.map((line) => {
    const before = job.lines.find(({ id }) => id === line.id);
    const after = lineOf(line, rules);
    // What is not typed here, its wage for one, stays.
    if (before?.kind !== "labor" || after.kind !== "labor") return after;
    const { priceByHand: _before, ...kept } = before;
    return { ...kept, ...after, wageCents: before.wageCents, paidHours: before.paidHours };
  });
  const kept = new Set(
    lines.filter((line) => job.lines.some(({ id, kind }) => id === line.id && kind === line.kind)).map(({ id }) => id),
  );
  return {
    ...job,
    title: typed.title,
    area: typed.area,
    words: { customer: typed.customerWords.trim(), mechanic: typed.mechanicWords.trim() },
    needs: { skill: wordsOrNothing(typed.skill), place: typed.place, rights: typed.rights },
    isDiagnosis: typed.isDiagnosis,
    isFavorite: typed.isFavorite,
    companions: typed.companions,
    curesPoints: typed.curesPoints,
    answersConcerns: typed.answersConcerns,
    lines,
    fits: job.fits.filter(({ lineId }) => kept.has(lineId)),
    variants: job.variants.map((variant) => ({
      ...variant,
      parts: variant.parts.filter(({ lineId }) => kept.has(lineId)),
    })),
  };
}
