import type { QuoteSlice } from "../quoting/slice";
import type { Finding, InspectionSlice } from "./slice";

/** Something not safe that stands, and whether whoever drives it was told. */
export interface StandingUnsafe {
  finding: Finding;
  isTold: boolean;
  /** The customer said no or later to what would mend it. */
  isDeclined: boolean;
}

/**
 * What is not safe on the car by this work order, until a job that cures it is finished or a person says how it was
 * mended; nothing else clears it.
 */
export function standingUnsafe(
  state: Pick<InspectionSlice, "findings" | "mended" | "unsafeTold"> & Pick<QuoteSlice, "jobs">,
): StandingUnsafe[] {
  return state.findings
    .filter((each) => each.grade === "unsafe" && !isMended(state, each))
    .map((finding) => {
      const { pointId } = finding;
      return {
        finding,
        isTold: state.unsafeTold.some(({ pointIds }) => pointIds.includes(pointId)),
        isDeclined: state.jobs.some(
          ({ pointIds, answer }) => pointIds.includes(pointId) && (answer?.value === "no" || answer?.value === "later"),
        ),
      };
    });
}

/** What was found unsafe after it was mended is unsafe again. */
function isMended(
  { mended, jobs }: Pick<InspectionSlice, "mended"> & Pick<QuoteSlice, "jobs">,
  { pointId, at }: Finding,
): boolean {
  return (
    mended.some((each) => each.pointId === pointId && each.at >= at) ||
    jobs.some(({ pointIds, finishedAt }) => finishedAt !== null && finishedAt >= at && pointIds.includes(pointId))
  );
}
