import { yesChange } from "../approvals/yesChange";
import { standingAnswer } from "../approvals/standing";
import type { ShownJob, ShownQuote, ShownWay } from "../approvals/shownQuote";
import type { InspectionSlice } from "../inspection/slice";
import type { ConcernSlice } from "../concerns/slice";
import type { Language } from "../languages/language";
import { saidIn, type PaperSettings } from "../papers/paperSettings";
import type { PaperSlice } from "../papers/slice";
import { concernsOnPaper, wordsOnPaper } from "../papers/wordsOnPaper";
import type { PictureSlice } from "../pictures/slice";
import { amountOf } from "../quoting/amountOf";
import { ownPrices, seenNow } from "../quoting/ownPrices";
import { isOnPaper, paperWords } from "../quoting/paperWords";
import type { Job, QuoteSlice } from "../quoting/slice";
import { foundSeen, type FoundSeen, type SeenBy } from "./workSeenByCustomer";

/** What a quote is shown with, beside itself. */
export interface ShownWith extends Pick<SeenBy, "points" | "before" | "specs"> {
  language: Language;
  /** SHA-256 of photos that are here, by their ids. */
  checksums: ReadonlyMap<string, string>;
  /** The owner's words above and beneath it. */
  papers: PaperSettings;
}

type Shown = QuoteSlice & InspectionSlice & PictureSlice & ConcernSlice & PaperSlice;

/** A quote as it is put before the customer: what a yes is a yes to. @see shownQuote */
export function shownQuoteOf(state: Shown, { language, checksums, papers, ...by }: ShownWith): ShownQuote {
  const found = foundSeen(state, by);
  const { rules, discounts = [], payers = [], taxExempt } = state;
  const words = wordsOnPaper(state, "quote", papers, language);
  const concerns = concernsOnPaper(state, "quote").map(({ text }) => text);
  return {
    version: 1,
    language,
    jobs: state.jobs.filter(({ lines }) => lines.length > 0).map((job) => jobShown(state, job, language)),
    found: found.map((each) => findingShown(each, language)),
    photos: found.flatMap(({ pointId, pictures }) =>
      pictures.map(({ photoId: id }) => ({ id, pointId, checksum: checksums.get(id) ?? null })),
    ),
    discounts: discounts.map(({ id, title, on, off }) => ({ id, title, on, off, offerId: null })),
    payers,
    taxExempt,
    taxes: rules.pricing.taxes ?? [],
    supplies: rules.pricing.supplies ?? null,
    diagnosisCreditPercent: rules.diagnosisCreditPercent ?? 0,
    validUntil: state.validUntil ?? null,
    terms: saidIn(papers.terms, language),
    ...(words === "" ? {} : { words }),
    ...(concerns.length === 0 ? {} : { concerns }),
  };
}

function jobShown(quote: QuoteSlice, job: Job, language: Language): ShownJob {
  const answer = standingAnswer(quote, job);
  const change = answer === null ? yesChange(quote, job) : null;
  const others = (job.others ?? []).map((other) => wayShown(withLines(quote, job, other), job.id, other, language));
  const { id, title, concernId, foundBy, isDiagnosis = false, off = null, payerId = null, pointIds, finishedAt } = job;
  return {
    ...{ id, title, concernId, isDiagnosis, off, payerId, pointIds },
    ...(foundBy === undefined ? {} : { foundBy }),
    ways: [wayShown(quote, id, job.way ?? { id: null, title: "" }, language), ...others],
    answer,
    isDone: finishedAt !== null,
    before: change && change.before,
  };
}

/** The quote as it is where a job is done another way. */
function withLines(quote: QuoteSlice, job: Job, { lines }: Pick<Job, "lines">): QuoteSlice {
  return { ...quote, jobs: quote.jobs.map((each) => (each.id === job.id ? { ...each, lines } : each)) };
}

function wayShown(
  quote: QuoteSlice,
  jobId: string,
  { id: otherId, title }: { id: string | null; title: string },
  language: Language,
): ShownWay {
  const own = ownPrices(quote);
  const lines = quote.jobs.find(({ id }) => id === jobId)?.lines ?? [];
  return {
    otherId,
    title,
    // A share of a set price may stand on what comes to nothing.
    lines: lines
      .filter((line) => isOnPaper(line) || own.lines.get(line.id))
      .map((line) => ({
        ...{ id: line.id, kind: line.kind, words: paperWords(line, language), amount: amountOf(line) },
        ...{ cents: own.lines.get(line.id) ?? 0, taxIds: taxIdsOf(line.taxIds, quote) },
      })),
    cents: own.jobs.get(jobId) ?? 0,
    parts: seenNow(quote, jobId)?.parts ?? [],
  };
}

/** A tax that does not hold there any more is none. */
function taxIdsOf(taxIds: readonly string[] | undefined, { rules }: QuoteSlice): string[] | null {
  if (!taxIds) return null;
  const known = new Set((rules.pricing.taxes ?? []).map(({ id }) => id));
  return taxIds.filter((id) => known.has(id));
}

function findingShown(
  { pointId, title, grade, note, measures }: FoundSeen,
  language: Language,
): ShownQuote["found"][number] {
  return {
    ...{ pointId, title: title[language], grade, note },
    measures: measures.map(({ name, value, unit }) => `${name} ${value} ${unit}`.trim()),
  };
}
