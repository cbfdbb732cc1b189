import { creditsOf, priceWorkOrder } from "../quoting/priceWorkOrder";
import type { QuoteLine } from "../quoting/quoteLine";
import type { Answer, Job, QuoteSlice } from "../quoting/slice";
import type { ShownJob, ShownQuote, ShownWay } from "./shownQuote";

/** What was chosen for a job. */
export interface ChosenAnswer {
  value: Answer;
  /** Which way of it; null: as it was first. Absent: as it stands. */
  otherId?: string | null | undefined;
}
export type ChosenAnswers = ReadonlyMap<string, ChosenAnswer>;

/** What a choice of answers comes to, in cents. */
export interface ShownSum {
  /** Taken off the whole. */
  discountCents: number;
  /** Taken off for a diagnosis. */
  creditCents: number;
  suppliesCents: number;
  taxes: { id: string; cents: number }[];
  totalCents: number;
}

/** The way of a job that was chosen, or as it stands. */
export function chosenWay(
  { ways }: Pick<ShownJob, "ways">,
  answer: Pick<ChosenAnswer, "otherId"> | undefined,
): ShownWay {
  const [first] = ways;
  const chosen =
    (answer?.otherId === undefined ? first : ways.find(({ otherId }) => otherId === answer.otherId)) ?? first;
  if (!chosen) throw new RangeError("a job is shown in at least one way");
  return chosen;
}

/** The answer a job has with a choice: what was chosen, else what held before; what is done is a yes. */
export function answerWith({ id, answer, isDone }: ShownJob, chosen: ChosenAnswers): Answer | null {
  return isDone ? "yes" : (chosen.get(id)?.value ?? answer);
}

/** Adds up what a customer would agree to, by the same rules as the quote itself. */
export function sumShown(shown: ShownQuote, chosen: ChosenAnswers): ShownSum {
  const quote = quoteOfShown(shown, chosen);
  const priced = priceWorkOrder(quote, "approved");
  const agreed = shown.jobs.filter((job) => answerWith(job, chosen) === "yes");
  const credits = creditsOf(quote);
  const creditCents = agreed.reduce((sum, { id }) => sum + (credits.get(id)?.cents ?? 0), 0);
  const ownCents = agreed.reduce((sum, job) => sum + chosenWay(job, chosen.get(job.id)).cents, 0);
  const jobCents = priced.jobs.reduce((sum, { total }) => sum + total, 0);
  const taxIds = [...new Set(priced.payers.flatMap(({ taxes }) => Object.keys(taxes)))];
  return {
    discountCents: ownCents - creditCents - jobCents,
    creditCents,
    suppliesCents: priced.payers.reduce((sum, { supplies }) => sum + supplies, 0),
    taxes: taxIds.map((id) => ({ id, cents: priced.payers.reduce((sum, { taxes }) => sum + (taxes[id] ?? 0), 0) })),
    totalCents: priced.total,
  };
}

function quoteOfShown(shown: ShownQuote, chosen: ChosenAnswers): QuoteSlice {
  const { taxes, supplies, diagnosisCreditPercent, taxExempt, discounts, payers } = shown;
  return {
    rules: {
      pricing: { taxes, supplies },
      laborRateCents: 0,
      wageCents: null,
      ...(diagnosisCreditPercent > 0 ? { diagnosisCreditPercent } : {}),
    },
    taxExempt,
    discounts,
    payers,
    jobs: shown.jobs.filter((job) => answerWith(job, chosen) === "yes").map((job) => jobOfShown(job, chosen)),
  };
}

function jobOfShown(job: ShownJob, chosen: ChosenAnswers): Job {
  const { id, title, concernId, foundBy, isDiagnosis, off, payerId } = job;
  return {
    ...{ id, title, concernId, pointIds: [], libraryJobId: null, addedAt: "", finishedAt: null },
    ...(foundBy === undefined ? {} : { foundBy }),
    ...(isDiagnosis ? { isDiagnosis } : {}),
    ...(off ? { off } : {}),
    ...(payerId === null ? {} : { payerId }),
    lines: chosenWay(job, chosen.get(id)).lines.map(lineOfShown),
    answer: { value: "yes", approvalId: "", totalCents: 0 },
  };
}

/** One of what it comes to: what it was counted and priced by does not matter any more. */
function lineOfShown({ id, kind, words: description, cents, taxIds }: ShownWay["lines"][number]): QuoteLine {
  const base = { id, description, ...(taxIds === null ? {} : { taxIds }) };
  switch (kind) {
    case "labor":
      return { ...base, kind, hours: 1, rateCents: cents, wageCents: null, paidHours: null };
    case "part":
      return {
        ...{ ...base, kind, quantity: 1, costCents: null, markup: null, priceCents: cents },
        ...{ partNumber: null, brand: null },
      };
    case "sublet":
      return { ...base, kind, costCents: null, percent: 0, priceCents: cents };
    default:
      return { ...base, kind, quantity: 1, priceCents: cents };
  }
}
