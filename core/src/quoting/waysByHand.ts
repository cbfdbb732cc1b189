import { v5 as uuidOf } from "uuid";
import { z } from "zod";
import { uuid, words } from "../commands/fields";
import { inOtherWay } from "./inOtherWay";
import { changeJob, refuse, type Jobs, type Quoted } from "./jobsOfQuote";
import { MOST_OTHER_WAYS } from "./otherWays";

const MOST_TITLE = 80;
const title = words(MOST_TITLE).min(1);

/** Offers a job in a way put together by hand: it begins as a copy, which stands from then on and is changed as any job. */
export const addWaySchema = z.strictObject({
  type: z.literal("addWay"),
  jobId: uuid,
  otherId: uuid,
  title,
  /** What the way that stood is called, where it had no name. */
  standingTitle: title,
});
/** Lets another way of a job stand, to be changed; which is chosen the customer says. */
export const standInWaySchema = z.strictObject({
  type: z.literal("standInWay"),
  jobId: uuid,
  otherId: uuid.nullable(),
});
/** Calls a way of a job otherwise; null: the one it was first. */
export const nameWaySchema = z.strictObject({
  type: z.literal("nameWay"),
  jobId: uuid,
  otherId: uuid.nullable(),
  title,
});

/** @throws {Refusal} where there are three ways, or the job has one price for all of it, which is of its own lines. */
export function addWay(
  state: Quoted,
  { jobId, otherId, title: called, standingTitle }: z.output<typeof addWaySchema>,
): Jobs {
  return changeJob(state, jobId, (job) => {
    const { others = [], way, lines } = job;
    if (job.setPrice) throw refuse("job/way-of-set-price");
    if (others.length >= MOST_OTHER_WAYS || way?.id === otherId || others.some(({ id }) => id === otherId))
      throw refuse("job/ways-enough");
    // Lines of another way are others: each has an id of its own, the same on every device.
    const copy = {
      id: otherId,
      title: called,
      lines: lines.map((line) => ({ ...line, id: uuidOf(line.id, otherId) })),
    };
    const standing = { ...job, way: way ?? { id: null, title: standingTitle }, others: [...others, copy] };
    // What was put together by hand has no fit: it is fitted to no car anew.
    return inOtherWay(standing, otherId);
  });
}

/** @throws {Refusal} when it is not there. */
export function standInWay(state: Quoted, { jobId, otherId }: z.output<typeof standInWaySchema>): Jobs {
  return changeJob(state, jobId, (job) => {
    if (!job.others?.some(({ id }) => id === otherId)) throw refuse("job/no-such-way");
    return inOtherWay(job, otherId);
  });
}

/** @throws {Refusal} when it is not there. */
export function nameWay(state: Quoted, { jobId, otherId, title: called }: z.output<typeof nameWaySchema>): Jobs {
  return changeJob(state, jobId, (job) => {
    if (job.way?.id === otherId) return { ...job, way: { ...job.way, title: called } };
    if (!job.others?.some(({ id }) => id === otherId)) throw refuse("job/no-such-way");
    return { ...job, others: job.others.map((each) => (each.id === otherId ? { ...each, title: called } : each)) };
  });
}
