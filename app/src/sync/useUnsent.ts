import { isAbout } from "./pending";
import { useSync } from "./state";

/** Whether something was done to a work order that the server has not heard of yet. */
export function useUnsent(workOrderId: string): boolean {
  return useSync((state) => state.pending.some((item) => isAbout(item, workOrderId)));
}
