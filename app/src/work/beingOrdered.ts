import type { WorkOrderView } from "@mechanon/contract";

/** Part lines that are out with a supplier who has not confirmed yet. */
export function beingOrdered({ requests }: Pick<WorkOrderView, "requests">): ReadonlySet<string> {
  return new Set(
    requests.flatMap(({ kind, status, lineIds }) => (kind === "partsOrder" && status === "asked" ? lineIds : [])),
  );
}
