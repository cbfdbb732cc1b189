import { countOf } from "@mechanon/core";
import type { LibraryFileAnswer } from "@mechanon/contract";

/** What a file of jobs does to the library. @example "2 new jobs, 1 changed, 70 as they are, 1 left out" */
export function libraryFileWords({ added, changed, same, faults }: LibraryFileAnswer): string {
  const parts = [
    added > 0 ? countOf(added, "new job") : "",
    changed > 0 ? `${changed} changed` : "",
    same > 0 ? `${same} as they are` : "",
    faults.length > 0 ? `${faults.length} left out` : "",
  ].filter((part) => part !== "");
  return parts.length === 0 ? "no job in this file" : parts.join(", ");
}
