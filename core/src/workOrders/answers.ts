import { priceWorkOrder } from "../quoting/priceWorkOrder";
import type { Answer, Job, WorkOrderState } from "./state";

/** Total of each job by its id, before taxes and supplies. */
export function jobTotals(state: WorkOrderState): Map<string, number> {
  return new Map(priceWorkOrder(state, "all").jobs.map(({ id, total }) => [id, total]));
}

/**
 * The answer that still holds: a yes holds for the total it was given for, a later or a no until something is asked
 * anew.
 *
 * @param totalCents - what the job costs now.
 * @returns null when the customer has to be asked (again).
 */
export function standingAnswer(job: Job, totalCents: number): Answer | null {
  if (!job.answer) return null;
  return job.answer.value === "yes" && job.answer.totalCents !== totalCents ? null : job.answer.value;
}

/** The jobs whose yes stands. */
export function approvedJobs(state: WorkOrderState): Job[] {
  const totals = jobTotals(state);
  return state.jobs.filter((job) => standingAnswer(job, totals.get(job.id) ?? 0) === "yes");
}

/** The jobs the customer has to be asked about. */
export function openJobs(state: WorkOrderState): Job[] {
  const totals = jobTotals(state);
  return state.jobs.filter((job) => standingAnswer(job, totals.get(job.id) ?? 0) === null);
}

/** What the quote comes to with supplies and taxes, jobs put off or declined left out. */
export function quoteTotalCents(state: WorkOrderState): number {
  const jobs = state.jobs.filter((job) => job.answer?.value !== "later" && job.answer?.value !== "no");
  return priceWorkOrder({ ...state, jobs }, "all").total;
}
