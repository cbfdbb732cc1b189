import { sumShown, type ChosenAnswers } from "../approvals/sumShown";
import { shownLineWords } from "../approvals/shownLineWords";
import type { ShownJob, ShownQuote } from "../approvals/shownQuote";
import { showPhone } from "../customers/phone";
import type { WordKey } from "../customerWords/english";
import { say, type WordValues } from "../customerWords/say";
import type { Language } from "../languages/language";
import { showDateIn } from "../languages/momentIn";
import { showMoney } from "../money/money";
import type { PaperBlock } from "./paperBlock";

/** Whose paper it is. */
export interface PaperOf {
  businessName: string;
  businessPhone: string;
  /** Empty: no car is known. */
  car: string;
  number: number;
}

/** A quote for its customer to keep: each job with its lines and ways, and what all of it comes to. */
export function quotePaper(
  shown: ShownQuote,
  { businessName, businessPhone, car, number }: PaperOf,
  language: Language,
): PaperBlock[] {
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  const { words = "", concerns = [], terms, validUntil } = shown;
  return [
    { is: "small", text: [businessName, businessPhone && showPhone(businessPhone)].filter(Boolean).join(", ") },
    { is: "title", text: t("answer.title") },
    { is: "words", text: t("mine.order", { car: car || t("mine.noCar"), number }) },
    ...textBlock(
      "words",
      validUntil === null ? "" : t("paper.goodUntil", { day: showDateIn(language, `${validUntil}T12:00:00Z`, "utc") }),
    ),
    ...textBlock("words", words),
    ...concerns.map((text): PaperBlock => ({ is: "words", text: t("paper.toldUs", { text }) })),
    { is: "rule" },
    ...shown.jobs.flatMap(jobBlocks),
    { is: "rule" },
    ...sumBlocks(shown, t),
    ...(terms === "" ? [] : ([{ is: "rule" }, { is: "small", text: terms }] as const)),
  ];
}

function textBlock(is: "words", text: string): PaperBlock[] {
  return text === "" ? [] : [{ is, text }];
}

function jobBlocks(job: ShownJob): PaperBlock[] {
  const [standing, ...others] = job.ways;
  if (!standing) return [];
  return [
    { is: "row", left: titleOf(job, standing.title), right: showMoney(standing.cents), tone: "strong" },
    ...standing.lines.map((line): PaperBlock => ({
      ...{ is: "row", tone: "muted" },
      ...{ left: shownLineWords(line), right: showMoney(line.cents) },
    })),
    ...others.map(({ title, cents }): PaperBlock => ({
      is: "row",
      left: titleOf(job, title),
      right: showMoney(cents),
    })),
  ];
}

/** What all of it comes to that was not put off or declined. */
function sumBlocks(shown: ShownQuote, t: (key: WordKey, values?: WordValues) => string): PaperBlock[] {
  const asked = shown.jobs.filter(({ answer, isDone }) => isDone || (answer !== "later" && answer !== "no"));
  const all: ChosenAnswers = new Map(asked.map(({ id }) => [id, { value: "yes" as const }]));
  const { creditCents, discountCents, suppliesCents, taxes, totalCents } = sumShown(shown, all);
  const rows: [string, number][] = [
    [t("answer.credit"), -creditCents],
    [shown.discounts.map(({ title }) => title).join(", ") || t("answer.discount"), -discountCents],
    [t("receipt.supplies"), suppliesCents],
  ];
  return [
    ...rows
      .filter(([, cents]) => cents !== 0)
      .map(([left, cents]): PaperBlock => ({ is: "row", left, right: showMoney(cents) })),
    ...taxes.map(({ id, cents }): PaperBlock => ({
      is: "row",
      left: t("receipt.tax", { name: id }),
      right: showMoney(cents),
    })),
    { is: "row", left: t("mine.total"), right: showMoney(totalCents), tone: "strong" },
  ];
}

function titleOf({ title, ways }: ShownJob, wayTitle: string): string {
  return ways.length > 1 && wayTitle !== "" ? `${title}, ${wayTitle}` : title;
}
