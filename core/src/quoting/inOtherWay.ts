import type { Job } from "./slice";

/** A job as it is when another way of it stands: that one's lines, and its own among the others. */
export function inOtherWay(job: Job, otherId: string | null | undefined): Job {
  const other = otherId === undefined ? undefined : job.others?.find(({ id }) => id === otherId);
  if (!other) return job;
  const { id = null, title = "" } = job.way ?? {};
  const { fit, ...standing } = job;
  const before = { id, title, lines: job.lines, ...(fit ? { fit } : {}) };
  return {
    ...standing,
    ...(other.fit ? { fit: other.fit } : {}),
    lines: other.lines,
    way: { id: other.id, title: other.title },
    others: (job.others ?? []).map((each) => (each === other ? before : each)),
  };
}
