import { clientWorkOrderCommand, upgradeCommand, visitCommand } from "@mechanon/core";
import type { Pending } from "./pending";

/** What was queued by yesterday's app, as it is queued now. */
export function upgradePending(kept: readonly Pending[]): Pending[] {
  return kept.map((item) => {
    if (item.kind === "visit") {
      const visit = visitCommand.safeParse(item.command);
      return visit.success ? { ...item, command: visit.data } : item;
    }
    if (item.kind !== "workOrder") return item;
    // What is no command any more goes as it is: the server says so to the person who gave it.
    const read = clientWorkOrderCommand.safeParse(upgradeCommand(item.command));
    return read.success ? { ...item, command: read.data } : item;
  });
}
