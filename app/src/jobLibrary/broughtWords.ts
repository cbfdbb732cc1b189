import type { BroughtJobs, LibraryJob } from "@mechanon/core";

const titles = (jobs: readonly LibraryJob[]): string => jobs.map(({ title }) => title).join(", ");

/** What a whole order brings to this car, and what it does not. @example "Brings Oil and filter, Wiper blades; not for this car: Spark plugs" */
export function broughtWords({ jobs, doNotApply, there }: BroughtJobs): string {
  return [
    jobs.length > 0 ? `Brings ${titles(jobs.map(({ job }) => job))}` : "Brings nothing to this car",
    ...(there.length > 0 ? [`on it already: ${titles(there)}`] : []),
    ...(doNotApply.length > 0 ? [`not for this car: ${titles(doNotApply)}`] : []),
  ].join("; ");
}
