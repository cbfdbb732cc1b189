import { dequal } from "dequal";
import type { LibraryJob } from "./libraryJob";

/** Whether two jobs of the library are the same in all they say; null: there is none. */
export function sameLibraryJob(one: LibraryJob | null, other: LibraryJob | null): boolean {
  return dequal(one, other);
}
