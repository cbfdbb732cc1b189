import {
  say as words,
  showDateIn,
  showMoney,
  sumShown,
  type ChosenAnswers,
  type Language,
  type ShownJob,
  type ShownQuote,
  type WordKey,
  type WordValues,
} from "@mechanon/core";
import { MUTED, letterPaper } from "./letterPaper";

/** What a quote is put on paper from. */
export interface QuotePaper {
  businessName: string;
  businessPhone: string;
  car: string;
  number: number;
  shown: ShownQuote;
  language: Language;
}

/** A quote for its customer to keep: each job with its lines and ways, and what all of it comes to. */
export async function quotePdf({
  businessName,
  businessPhone,
  car,
  number,
  shown,
  language,
}: QuotePaper): Promise<Buffer> {
  const t = (key: WordKey, values?: WordValues): string => words(language, key, values);
  const { doc, say, rule, row, finish } = letterPaper(t("answer.title"), businessName);
  say(`${businessName}, ${businessPhone}`, 10, "regular", MUTED);
  say(t("answer.title"), 17, "bold");
  say(t("mine.order", { car: car || t("mine.noCar"), number }));
  if (shown.validUntil !== null)
    say(t("paper.goodUntil", { day: showDateIn(language, `${shown.validUntil}T12:00:00Z`, "utc") }));
  rule();
  for (const job of shown.jobs) {
    const [standing, ...others] = job.ways;
    if (!standing) continue;
    row(titleOf(job, standing.title), showMoney(standing.cents), "bold");
    for (const line of standing.lines) row(line.words, showMoney(line.cents), "regular", MUTED);
    for (const other of others) row(titleOf(job, other.title), showMoney(other.cents));
    doc.moveDown(0.5);
  }
  rule();
  const asked = shown.jobs.filter(({ answer, isDone }) => isDone || (answer !== "later" && answer !== "no"));
  const all: ChosenAnswers = new Map(asked.map(({ id }) => [id, { value: "yes" as const }]));
  const { creditCents, discountCents, suppliesCents, taxes, totalCents } = sumShown(shown, all);
  if (creditCents > 0) row(t("answer.credit"), `−${showMoney(creditCents)}`);
  if (discountCents > 0)
    row(shown.discounts.map(({ title }) => title).join(", ") || t("answer.discount"), `−${showMoney(discountCents)}`);
  if (suppliesCents > 0) row(t("receipt.supplies"), showMoney(suppliesCents));
  for (const { id, cents } of taxes) row(t("receipt.tax", { name: id }), showMoney(cents));
  row(t("mine.total"), showMoney(totalCents), "bold");
  if (shown.terms !== "") {
    rule();
    say(shown.terms, 9, "regular", MUTED);
  }
  return finish();
}

function titleOf({ title, ways }: ShownJob, wayTitle: string): string {
  return ways.length > 1 && wayTitle !== "" ? `${title}, ${wayTitle}` : title;
}
