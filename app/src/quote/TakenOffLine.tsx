import type { WorkOrderState } from "@mechanon/core";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";

/** What was taken off last, one tap from where it stood. */
export function TakenOffLine({ state }: { state: WorkOrderState }) {
  const last = state.takenOff?.at(-1);
  if (!last) return null;
  const { id, name } =
    last.of === "job" ? { id: last.job.id, name: last.job.title } : { id: last.line.id, name: last.line.description };
  return (
    <Button kind="quiet" label={`Put back ${name}`} onPress={() => sendCommand(state.id, { type: "putBack", id })} />
  );
}
