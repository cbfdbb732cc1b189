import { standingAnswer } from "../approvals/standing";
import type { Grade, InspectionSlice } from "../inspection/slice";
import type { InspectionPoint } from "../inspection/point";
import { balanceOf } from "../payments/balance";
import type { PaymentSlice } from "../payments/slice";
import type { QuoteSlice } from "../quoting/slice";
import { jobTotals, quoteTotalCents } from "../quoting/totals";

/** What a customer may see of the work on their car: prices, never what they are made of. */
export interface WorkSeen {
  /** The worst first; what was fine is not listed one by one. */
  found: { title: string; grade: Exclude<Grade, "sound" | "skipped">; note: string; photoIds: string[] }[];
  /** Points that were looked at and fine. */
  soundCount: number;
  jobs: { title: string; totalCents: number; answer: "yes" | "later" | "no" | null; isDone: boolean }[];
  /** With taxes; null: there is no quote. */
  totalCents: number | null;
  dueCents: number;
  paidCents: number;
}

const WORST_FIRST: readonly Grade[] = ["act", "watch"];

/**
 * The work as its customer sees it.
 *
 * @param isShown - whether what was found and quoted was shown to them yet; what they answered is theirs in any case.
 */
export function workSeenByCustomer(
  state: InspectionSlice & QuoteSlice & PaymentSlice,
  points: readonly Pick<InspectionPoint, "id" | "title">[],
  isShown: boolean,
): WorkSeen {
  const totals = jobTotals(state);
  const jobs = state.jobs
    .map((job) => ({
      title: job.title,
      totalCents: totals.get(job.id) ?? 0,
      answer: standingAnswer(job, totals.get(job.id) ?? 0),
      isDone: job.finishedAt !== null,
    }))
    .filter(({ answer }) => isShown || answer !== null);
  const { dueCents, paidCents } = balanceOf(state);
  const found = WORST_FIRST.flatMap((grade) =>
    state.findings
      .filter((finding) => isShown && finding.grade === grade)
      .map(({ pointId, note, photoIds }) => ({
        title: points.find(({ id }) => id === pointId)?.title ?? pointId,
        grade: grade as WorkSeen["found"][number]["grade"],
        note,
        photoIds,
      })),
  );
  return {
    found,
    soundCount: isShown ? state.findings.filter(({ grade }) => grade === "sound").length : 0,
    jobs,
    totalCents: isShown && state.jobs.length > 0 ? quoteTotalCents(state) : null,
    dueCents,
    paidCents,
  };
}
