import { v7 as uuid } from "uuid";
import type { JobFit, LibraryJob } from "@mechanon/core";
import { sendCommand } from "../sync/give";

/** Puts a job of the library on the quote of a work order, fitted to its car. */
export function addFromLibrary(
  workOrderId: string,
  job: LibraryJob,
  { pointIds, concernId }: { pointIds: readonly string[]; concernId: string | null },
  fit: JobFit,
): void {
  sendCommand(workOrderId, {
    type: "addJob",
    jobId: uuid(),
    libraryJobId: job.id,
    lineIds: job.lines.map(() => uuid()),
    pointIds: [...pointIds],
    concernId,
    fit: { ...fit, positions: [...fit.positions] },
  });
}
