import type { WorkOrderView } from "@mechanon/contract";
import { openedHere } from "./openedHere";
import type { Pending } from "./pending";
import { withPending, type LocalContext } from "./withPending";

/**
 * A work order as this device shows it: the server's copy, or as it was opened here, with what waits applied.
 *
 * @param kept - the server's copy, where there is one.
 * @param mine - what waits of the person this page is of.
 * @param refused - what the server did not take.
 * @returns undefined where the device knows nothing of it.
 */
export function viewHere(
  id: string,
  kept: WorkOrderView | undefined,
  { mine, refused, context }: { mine: readonly Pending[]; refused: readonly Pending[]; context: LocalContext },
): WorkOrderView | undefined {
  const base = kept ?? openedHere(id, [...mine, ...refused], context);
  return base && withPending(base, mine, context);
}
