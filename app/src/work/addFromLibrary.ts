import { v7 as uuid } from "uuid";
import type { LibraryJob } from "@mechanon/core";
import { sendCommand } from "../sync/store";

/** Puts a job of the library on the quote of a work order. */
export function addFromLibrary(
  workOrderId: string,
  job: LibraryJob,
  why: { pointId: string | null; concernId: string | null },
): void {
  sendCommand(workOrderId, {
    type: "addJob",
    jobId: uuid(),
    libraryJobId: job.id,
    lineIds: job.lines.map(() => uuid()),
    ...why,
  });
}
