import {
  JOB_CONDITIONS,
  JOB_RIGHTS,
  OPERATION_PER,
  PART_KINDS,
  POSITIONS,
  positionsFor,
  readMoney,
  type LineFit,
  type LibraryJob,
  type MoneyRules,
  type QuoteLine,
} from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { readAmount } from "../quote/readAmount";

const MOST_TITLE = 120;
/** As written, by the car's places or cylinders, or by what one of its specs says. */
const COUNTS = ["asWritten", "positions", "cylinders", "spec"] as const;
const LINE_KINDS = ["labor", "part", "fee", "sublet", "core"] as const;
export type TypedLine = z.input<typeof typedLine>;

const typedLine = z.object({
  id: z.string(),
  kind: z.enum(LINE_KINDS),
  description: z.string(),
  /** Hours of labor, how many of anything else. */
  amount: z.string(),
  /** A rate or price of its own; empty: the house's rates, or made from the cost. Of work bought in the percent on top. */
  price: z.string(),
  /** Of a part. */
  cost: z.string(),
  /** Of a part: the table its price is made by; empty: it has a price of its own. */
  markup: z.string(),
  /** Of a part: its kind, by which fees hang on it and tables price it; empty: none in particular. */
  partKind: z.enum(["", ...PART_KINDS]).default(""), // absent in what was typed before kinds could be
  partNumber: z.string(),
  brand: z.string(),
  /** Of labor: operations of the guide whose hours it takes. */
  operations: z.array(z.string()),
  /** Of anything else: how many of it. */
  counts: z.enum(COUNTS),
});

/** What of a part differs in another quality. */
const typedVariantPart = z.object({
  lineId: z.string(),
  description: z.string(),
  brand: z.string(),
  partNumber: z.string(),
  cost: z.string(),
  price: z.string(),
});
const typedVariant = z.object({ id: z.string(), title: z.string(), parts: z.array(typedVariantPart) });

/** A job of the library as it is typed. */
export const typedJob = z.object({
  title: z.string(),
  area: z.string(),
  customerWords: z.string(),
  mechanicWords: z.string(),
  skill: z.string(),
  carries: z.string(),
  place: z.array(z.enum(JOB_CONDITIONS)),
  rights: z.array(z.enum(JOB_RIGHTS)),
  isDiagnosis: z.boolean(),
  isFavorite: z.boolean(),
  companions: z.array(z.string()),
  /** Of a whole order: ids of the jobs it brings. */
  brings: z.array(z.string()),
  per: z.enum(OPERATION_PER),
  positions: z.array(z.enum(POSITIONS)),
  variants: z.array(typedVariant),
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
    if (kind === "sublet") {
      if (readAmount(price) === null) fault("price", "percent on top, like 20 or 0");
      if (readMoney(cost) === null) fault("cost", AMOUNT);
      return;
    }
    if (readAmount(amount) === null) fault("amount", "a number like 1 or 7.6");
    if (!isMoneyOrNothing(price)) fault("price", AMOUNT);
    if (!isMoneyOrNothing(cost)) fault("cost", AMOUNT);
    const hasPrice = price.trim() !== "";
    if (kind === "part" && !hasPrice && (markup === "" || cost.trim() === ""))
      fault("price", "a price, or a cost with a table");
    if ((kind === "fee" || kind === "core") && !hasPrice) fault("price", AMOUNT);
  });

const readVariantPart = typedVariantPart
  .extend({ description: z.string().trim().min(1, "what it is").max(200, "up to 200 letters") })
  .superRefine(({ cost, price }, context) => {
    const fault = (path: string, message: string): void => context.addIssue({ code: "custom", path: [path], message });
    if (!isMoneyOrNothing(price)) fault("price", AMOUNT);
    if (!isMoneyOrNothing(cost)) fault("cost", AMOUNT);
    if (cost.trim() === "" && price.trim() === "") fault("cost", "a cost, or a price of its own");
  });

/** What was typed, read. */
export const readJob = typedJob.extend({
  title: z.string().trim().min(1, "a title is needed").max(MOST_TITLE, `up to ${MOST_TITLE} letters`),
  area: z.string().trim().min(1, "an area is needed").max(60, "up to 60 letters"),
  lines: z.array(readLine),
  variants: z.array(
    typedVariant.extend({
      title: z.string().trim().min(1, "a title is needed").max(60, "up to 60 letters"),
      parts: z.array(readVariantPart),
    }),
  ),
});

const moneyOf = (cents: number | null): string => (cents === null ? "" : (cents / 100).toFixed(2));
const NO_PART = { cost: "", markup: "", partKind: "", partNumber: "", brand: "" } as const;
const NO_FIT: Pick<TypedLine, "operations" | "counts"> = { operations: [], counts: "asWritten" };

function typedLineOf(line: QuoteLine, fit: LineFit | undefined): TypedLine {
  const { id, kind, description } = line;
  const fitted: typeof NO_FIT = fit
    ? { operations: [...fit.operations], counts: fit.count?.by ?? "asWritten" }
    : NO_FIT;
  if (line.kind === "labor")
    return {
      id,
      kind,
      description,
      amount: String(line.hours),
      price: line.priceByHand ? moneyOf(line.rateCents) : "",
      ...NO_PART,
      ...fitted,
    };
  if (line.kind === "sublet")
    return {
      ...{ id, kind, description, amount: "1", price: String(line.percent) },
      ...NO_PART,
      ...fitted,
      cost: moneyOf(line.costCents),
    };
  const base = { id, kind, description, amount: String(line.quantity), price: moneyOf(line.priceCents), ...fitted };
  if (line.kind !== "part") return { ...base, ...NO_PART };
  const { costCents, markup, partKind = "", partNumber, brand } = line;
  return {
    ...{ ...base, cost: moneyOf(costCents), markup: markup ?? "", partKind },
    ...{ partNumber: partNumber ?? "", brand: brand ?? "" },
  };
}

/** A job of the library, as it would be typed. */
export function typedJobOf(job: LibraryJob): TypedJob {
  return {
    title: job.title,
    area: job.area,
    customerWords: job.words.customer,
    mechanicWords: job.words.mechanic,
    skill: job.needs.skill ?? "",
    carries: job.needs.carries ?? "",
    place: [...job.needs.place],
    rights: [...job.needs.rights],
    isDiagnosis: job.isDiagnosis,
    isFavorite: job.isFavorite,
    companions: [...job.companions],
    brings: job.brings.map(({ libraryJobId }) => libraryJobId),
    curesPoints: [...job.curesPoints],
    answersConcerns: [...job.answersConcerns],
    lines: job.lines.map((line) => typedLineOf(line, fitOf(job, line.id))),
    per: job.per,
    positions: [...job.positions],
    variants: job.variants.map(({ id, title, parts }) => ({
      id,
      title,
      parts: parts.map(({ lineId, description, brand, partNumber, costCents, priceCents }) => ({
        lineId,
        description,
        brand: brand ?? "",
        partNumber: partNumber ?? "",
        cost: moneyOf(costCents),
        price: moneyOf(priceCents),
      })),
    })),
  };
}

const fitOf = ({ fits }: LibraryJob, lineId: string): LineFit | undefined => fits.find((fit) => fit.lineId === lineId);

/** An empty line of a kind. */
export function newTypedLine(kind: TypedLine["kind"]): TypedLine {
  return { id: uuid(), kind, description: "", amount: "1", price: "", ...NO_PART, ...NO_FIT };
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
  if (kind === "sublet") {
    const percent = readAmount(typed.price) ?? 0;
    return { id, kind, description, costCents: centsOf(typed.cost) ?? 0, percent, priceCents: null };
  }
  if (kind !== "part") return { id, kind, description, quantity: amount, priceCents: priceCents ?? 0 };
  return {
    id,
    kind,
    description,
    quantity: amount,
    costCents: centsOf(typed.cost) ?? 0,
    markup: wordsOrNothing(typed.markup),
    ...(typed.partKind === "" ? {} : { partKind: typed.partKind }),
    priceCents,
    partNumber: wordsOrNothing(typed.partNumber),
    brand: wordsOrNothing(typed.brand),
  };
}

/** Another quality of a job, without any part that differs. */
export function newTypedVariant(): TypedJob["variants"][number] {
  return { id: uuid(), title: "", parts: [] };
}

/** What of one part differs in another quality. */
export function newTypedVariantPart(lineId: string): TypedJob["variants"][number]["parts"][number] {
  return { lineId, description: "", brand: "", partNumber: "", cost: "", price: "" };
}

/** How a line fits itself to a car, as it is typed; what is not typed here, a grade for one, stays. */
function typedFit({ id, kind, operations, counts }: z.output<typeof readLine>, before: LineFit | undefined): LineFit[] {
  const kept = before ?? {
    lineId: id,
    operations: [],
    torques: [],
    count: null,
    spec: null,
    grades: [],
    onlyWhere: null,
  };
  if (kind === "labor") {
    const isFitted = operations.length + kept.torques.length > 0;
    return isFitted ? [{ ...kept, lineId: id, operations }] : [];
  }
  const bySpec = kept.count?.by === "spec" ? kept.count : null;
  const count = counts === "asWritten" ? null : counts === "spec" ? bySpec : { by: counts };
  return count || kept.spec || kept.grades.length > 0 || kept.onlyWhere ? [{ ...kept, lineId: id, count }] : [];
}

/** A job with what was typed; what of its lines is not typed here stays, as far as the lines do. */
export function changedJob(job: LibraryJob, typed: z.output<typeof readJob>, rules: MoneyRules): LibraryJob {
  const lines = typed.lines.map((line) => {
    const before = job.lines.find(({ id }) => id === line.id);
    const after = lineOf(line, rules);
    // What is not typed here, its wage for one, stays.
    if (before?.kind === "part" && after.kind === "part") {
      const { partKind: _kind, ...kept } = before;
      return { ...kept, ...after };
    }
    if (before?.kind !== "labor" || after.kind !== "labor")
      return before?.kind === after.kind ? { ...before, ...after } : after;
    const { priceByHand: _before, ...kept } = before;
    return { ...kept, ...after, wageCents: before.wageCents, paidHours: before.paidHours };
  });
  const partIds = new Set(lines.flatMap(({ id, kind }) => (kind === "part" ? [id] : [])));
  return {
    ...job,
    title: typed.title,
    area: typed.area,
    words: { customer: typed.customerWords.trim(), mechanic: typed.mechanicWords.trim() },
    needs: {
      skill: wordsOrNothing(typed.skill),
      carries: wordsOrNothing(typed.carries),
      place: typed.place,
      rights: typed.rights,
    },
    isDiagnosis: typed.isDiagnosis,
    isFavorite: typed.isFavorite,
    companions: typed.companions,
    brings: typed.brings.map(
      (libraryJobId) =>
        job.brings.find((each) => each.libraryJobId === libraryJobId) ?? {
          libraryJobId,
          positions: [],
          variantId: null,
        },
    ),
    curesPoints: typed.curesPoints,
    answersConcerns: typed.answersConcerns,
    lines,
    fits: typed.lines.flatMap((line) => typedFit(line, fitOf(job, line.id))),
    per: typed.per,
    positions: positionsFor(typed.per).filter((position) => typed.positions.includes(position)),
    variants: typed.variants.map(({ id, title, parts }) => ({
      id,
      title,
      parts: parts
        .filter(({ lineId }) => partIds.has(lineId))
        .map(({ lineId, description, brand, partNumber, cost, price }) => ({
          lineId,
          description,
          costCents: centsOf(cost),
          priceCents: centsOf(price),
          partNumber: wordsOrNothing(partNumber),
          brand: wordsOrNothing(brand),
        })),
    })),
  };
}
