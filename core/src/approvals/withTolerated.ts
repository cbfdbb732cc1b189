import type { QuoteSlice } from "../quoting/slice";
import type { ApprovalSlice } from "./slice";
import { yesChange } from "./yesChange";

type State = QuoteSlice & ApprovalSlice;

/** Writes down where a change went above a yes and the owner's tolerance covered it. */
export function withTolerated<Whole extends State>(before: Whole, after: Whole, at: string): Whole {
  if (!after.rules.tolerance) return after;
  const used = after.jobs.flatMap((job) => {
    const change = yesChange(after, job);
    if (!change?.isTolerated || change.now.cents === yesChange(before, job)?.now.cents) return [];
    const { id: jobId, title } = job;
    return [{ at, jobId, title, fromCents: change.before.cents, toCents: change.now.cents }];
  });
  return used.length === 0 ? after : { ...after, tolerated: [...(after.tolerated ?? []), ...used] };
}
