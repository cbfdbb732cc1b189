import { conflictWords } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { sendCommand } from "../sync/give";
import { Notice } from "../ui/Notice";

/** What two people did at once and nobody has settled yet. */
export function OpenConflicts({ state }: Pick<WorkOrderView, "state">) {
  return (
    <>
      {state.conflicts
        .filter(({ settledAt }) => settledAt === null)
        .map((mark) => (
          <Notice
            key={mark.id}
            text={conflictWords(mark)}
            action={{
              label: "Settled",
              onPress: () => sendCommand(state.id, { type: "settleConflict", conflictId: mark.id }),
            }}
          />
        ))}
    </>
  );
}
