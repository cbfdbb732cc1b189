import { v7 as uuid } from "uuid";
import type { Position } from "@mechanon/core";
import { sendCommand } from "../sync/give";
import type { Fitter } from "./jobChoice";

/** Puts labor of the guide on the quote of a work order. @param jobId - the job it becomes a line of; left out: one of its own. */
export function addFromGuide(
  workOrderId: string,
  { operationId, positions, jobId = uuid() }: { operationId: string; positions: Position[]; jobId?: string },
  { facts, isAfterHours }: Pick<Fitter, "facts" | "isAfterHours">,
): void {
  sendCommand(workOrderId, {
    type: "addOperation",
    jobId,
    lineId: uuid(),
    operationId,
    positions,
    facts,
    isAfterHours,
    concernId: null,
  });
}
