import type { Job } from "@mechanon/core";

/** What a whole order is called, unless somebody says otherwise. @example "Oil and filter, and 3 more" */
export function wholeOrderTitle(jobs: readonly Pick<Job, "title">[]): string {
  const [first] = jobs;
  return first ? `${first.title.slice(0, 100)}, and ${jobs.length - 1} more` : "";
}
