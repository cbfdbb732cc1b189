import { showMoney, standingAnswer, type Job } from "@mechanon/core";

/** What stands of the customer's word on a job. */
export function answerWords(job: Job, totalCents: number): string {
  switch (standingAnswer(job, totalCents)) {
    case "yes":
      return job.finishedAt ? "Agreed and finished" : "Agreed";
    case "later":
      return "Put off";
    case "no":
      return "Declined";
    case null:
      return job.answer?.value === "yes"
        ? `Agreed at ${showMoney(job.answer.totalCents)}; the price changed, ask again`
        : "Not asked yet";
  }
}
