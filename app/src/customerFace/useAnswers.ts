import { useState } from "react";
import {
  isAsked,
  creditsOf,
  jobTotals,
  priceWorkOrder,
  type Answer,
  type Job,
  type WorkOrderState,
} from "@mechanon/core";

/** The customer's answers as they are chosen, and what they come to. */
export function useAnswers(state: WorkOrderState) {
  const [answers, setAnswers] = useState<Record<string, Answer>>({});
  const jobs = state.jobs.filter(isAsked);
  const chosen = (jobId: string): Answer | null =>
    answers[jobId] ?? state.jobs.find((job) => job.id === jobId)?.answer?.value ?? null;
  // Prices as they are with these answers: a diagnosis comes off the repair only where neither is declined.
  const asChosen = state.jobs.map((job) => withAnswer(job, job.finishedAt === null ? chosen(job.id) : "yes"));
  const answered = { ...state, jobs: asChosen };
  const totals = jobTotals(answered);
  const credits = creditsOf(answered);
  const priced = priceWorkOrder(answered, "approved");
  return {
    /** Jobs that are to be answered. */
    jobs,
    jobCents: (jobId: string): number => totals.get(jobId) ?? 0,
    creditCents: (jobId: string): number => credits.get(jobId)?.cents ?? 0,
    chosen,
    choose: (jobId: string, answer: Answer): void => setAnswers((before) => ({ ...before, [jobId]: answer })),
    unanswered: jobs.filter((job) => chosen(job.id) === null).map(({ title }) => title),
    isAgreeing: asChosen.some(({ answer }) => answer?.value === "yes"),
    suppliesCents: priced.payers.reduce((sum, { supplies }) => sum + supplies, 0),
    taxCents: priced.payers.flatMap(({ taxes }) => Object.values(taxes)).reduce((sum, tax) => sum + tax, 0),
    totalCents: priced.total,
  };
}

function withAnswer(job: Job, value: Answer | null): Job {
  return { ...job, answer: value && { value, approvalId: "", totalCents: 0 } };
}
