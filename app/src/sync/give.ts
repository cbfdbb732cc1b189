import { v7 as uuid } from "uuid";
import { PROTOCOL } from "@mechanon/contract";
import type { ClientWorkOrderCommand, VisitCommand } from "@mechanon/core";
import { putInLine } from "./line";
import type { Act, Pending } from "./pending";
import { flush } from "./sender";
import { useSync } from "./state";

/**
 * Takes down what a person did: it shows at once, and goes to the server when it can; all of it or nothing.
 * @returns when this device has written it down.
 */
export async function give(acts: readonly Act[]): Promise<void> {
  const at = new Date().toISOString();
  const by = useSync.getState().personId ?? "";
  const items: Pending[] = acts.map((act) => ({ ...act, id: act.id ?? uuid(), at, by, protocol: PROTOCOL }));
  await putInLine(items);
  void flush();
}

/** Gives a command to a work order. */
export function sendCommand(workOrderId: string, command: ClientWorkOrderCommand): void {
  void give([{ kind: "workOrder", target: workOrderId, command }]);
}

/** Gives a command to a visit of a work order. */
export function sendVisitCommand(visitId: string, workOrderId: string, command: VisitCommand): void {
  void give([{ kind: "visit", target: visitId, workOrderId, command }]);
}
