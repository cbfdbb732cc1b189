import { showMoney, standingAnswer, yesChange, type Job, type QuoteSlice, type YesChange } from "@mechanon/core";

/** What stands of the customer's word on a job. */
export function answerWords(quote: QuoteSlice, job: Job): string {
  switch (standingAnswer(quote, job)) {
    case "yes":
      return job.finishedAt ? "Agreed and finished" : agreedWords(quote, job);
    case "later":
      return job.answer?.askOn ? `Put off, to ask again on ${job.answer.askOn}` : "Put off";
    case "no":
      return job.answer?.reason ? `Declined: ${job.answer.reason}` : "Declined";
    case null:
      return openWords(quote, job);
  }
}

function agreedWords(quote: QuoteSlice, job: Job): string {
  const change = yesChange(quote, job);
  if (!change) return "Agreed";
  return `Agreed at ${showMoney(change.before.cents)}; ${showMoney(change.now.cents)} is within what was agreed beforehand`;
}

const DIFFERS: Record<YesChange["differs"][number], string> = {
  price: "the price changed",
  parts: "the parts changed",
  payer: "who pays changed",
};

function openWords(quote: QuoteSlice, job: Job): string {
  const { answer } = job;
  if (answer?.value !== "yes") return "Not answered yet";
  if (answer.needsAlso) return `Agreed, and needs the yes of ${answer.needsAlso}, too`;
  const differs = yesChange(quote, job)?.differs ?? [];
  return `Agreed at ${showMoney(answer.seen?.cents ?? answer.totalCents)}; ${differs.map((each) => DIFFERS[each]).join(", ")}, ask again`;
}
