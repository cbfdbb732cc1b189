import { Refusal, applyCommand, refusalWords, isRefusalCode, type WorkOrderState } from "@mechanon/core";
import type { LocalContext } from "../sync/withPending";
import type { WantedCommand } from "./wantedJob";

/** The work order a call would make, as far as it goes. */
export interface TriedWanted {
  state: WorkOrderState;
  /** Why a job cannot be put on it, by its id. */
  refused: ReadonlyMap<string, string>;
}

/** Makes the work order of a call without keeping it: what it would cost before taxes, and what does not fit the car. */
export function tryWanted(workOrderId: string, commands: readonly WantedCommand[], context: LocalContext): TriedWanted {
  const ids = { aggregateId: workOrderId, commandId: workOrderId };
  const given = { ...context, ...ids, at: NOT_YET, taxExempt: false, unclearChargeCents: 0 };
  let state = applyCommand(null, { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] }, given);
  const refused = new Map<string, string>();
  for (const command of commands) {
    try {
      state = applyCommand(state, command, given);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      const code = String(error.code);
      refused.set(command.jobId, isRefusalCode(code) ? refusalWords(code) : code);
    }
  }
  return { state, refused };
}

const NOT_YET = new Date(0).toISOString();
