import { v5 as uuidOf } from "uuid";
import { z } from "zod";
import { uuid } from "../commands/fields";
import { refitJobSchema } from "./commandSchemas";
import { changeJob, refuse, type Jobs, type Quoted } from "./jobsOfQuote";
import type { LibraryJob } from "./libraryJob";
import { refitJob, type QuotingContext } from "./quoteChanges";
import type { Job } from "./slice";

/** Offers a job in another quality beside the one that stands: the customer chooses. */
export const offerOtherWaySchema = z.strictObject({
  type: z.literal("offerOtherWay"),
  jobId: uuid,
  otherId: uuid,
  fit: refitJobSchema.shape.fit,
});
/** Offers one way of a job no more. */
export const removeOtherWaySchema = z.strictObject({
  type: z.literal("removeOtherWay"),
  jobId: uuid,
  otherId: uuid.nullable(),
});

/** Beside the one that stands; more are nobody's to compare on a phone. */
export const MOST_OTHER_WAYS = 2;

/**
 * Offers a job in another quality of the library, priced by the same rules; what was typed or added stays in it, too.
 * @throws {Refusal} where the library has no such quality, it is offered already, or there are three ways.
 */
export function offerOtherWay(
  state: Quoted,
  { jobId, otherId, fit }: z.output<typeof offerOtherWaySchema>,
  context: QuotingContext,
): Jobs {
  const job = state.jobs.find(({ id }) => id === jobId);
  const template = context.library.find(({ id }) => id === job?.libraryJobId);
  if (!job) throw refuse("job/not-found");
  if (!template || (fit.variantId !== null && !template.variants.some(({ id }) => id === fit.variantId)))
    throw refuse("job/not-in-library");
  const others = job.others ?? [];
  if (others.length >= MOST_OTHER_WAYS || others.some(({ id }) => id === otherId)) throw refuse("job/ways-enough");
  const anew = refitJob({ ...state, jobs: unanswered(state.jobs, jobId) }, { type: "refitJob", jobId, fit }, context);
  const other = anew.jobs.find(({ id }) => id === jobId);
  if (!other) throw refuse("job/not-found");
  // Lines of another way are others: each has an id of its own, the same on every device.
  const idOf = (lineId: string): string => uuidOf(lineId, otherId);
  const lines = other.lines.map((line) => ({ ...line, id: idOf(line.id) }));
  const fitted = other.fit && {
    ...other.fit,
    lineIds: other.fit.lineIds.map(({ id, libraryLineId }) => ({ id: idOf(id), libraryLineId })),
  };
  return changeJob(state, jobId, (standing) => ({
    ...standing,
    way: standing.way ?? { id: null, title: wayTitle(template, standing.fit?.variantId ?? null) },
    others: [
      ...others,
      { id: otherId, title: wayTitle(template, fit.variantId), lines, ...(fitted ? { fit: fitted } : {}) },
    ],
  }));
}

/** A job that was answered keeps its fees and hours; in another way it is asked anew. */
function unanswered(jobs: readonly Job[], jobId: string): Job[] {
  return jobs.map((job) => (job.id === jobId ? { ...job, answer: null } : job));
}

/** @throws {Refusal} when it is not there. */
export function removeOtherWay(state: Quoted, { jobId, otherId }: z.output<typeof removeOtherWaySchema>): Jobs {
  return changeJob(state, jobId, (job) => {
    const others = job.others?.filter(({ id }) => id !== otherId) ?? [];
    if (others.length === (job.others?.length ?? 0)) throw refuse("job/no-such-way");
    if (others.length > 0) return { ...job, others };
    const { others: _none, way: _way, ...alone } = job;
    return alone;
  });
}

/** What a quality of a job is called beside its others. */
export function wayTitle({ variants }: Pick<LibraryJob, "variants">, variantId: string | null): string {
  return variants.find(({ id }) => id === variantId)?.title ?? "Standard";
}
