import { WAITS, listed } from "@mechanon/core";
import type { OpenWorkGroup, WorkOrderSummary } from "@mechanon/contract";
import type { NewerHere } from "../sync/useNewerHere";
import { summaryHere } from "./summaryHere";

/**
 * What is open as this device knows it: the server's groups, with what was opened, answered, ordered and paid here where
 * it belongs by now.
 *
 * @param groups - as the server gave them, the oldest first, truly counted; each may have more than is loaded.
 * @param newer - the work orders of which this device knows more.
 */
export function openWorkHere(groups: readonly OpenWorkGroup[], newer: readonly NewerHere[]): OpenWorkGroup[] {
  const loaded = new Set(groups.flatMap(({ workOrders }) => workOrders.map(({ id }) => id)));
  const here = newer.map(({ view, told }) => ({ order: summaryHere(view), told }));
  const ids = new Set(here.map(({ order }) => order.id));
  return WAITS.map((waitsFor) => {
    const group = groups.find((each) => each.waitsFor === waitsFor) ?? NONE(waitsFor);
    const stay = group.workOrders.filter(({ id }) => !ids.has(id));
    const come = here.filter(({ order }) => order.waitsFor === waitsFor).map(({ order }) => order);
    // Counted by the server among those that are not loaded yet.
    const unseen = here.filter(
      ({ order, told }) =>
        group.next !== null &&
        told !== null &&
        !loaded.has(order.id) &&
        listed(told.state, told.visits).waitsFor === waitsFor,
    );
    return {
      ...group,
      count: group.count - (group.workOrders.length - stay.length) - unseen.length + come.length,
      workOrders: [...stay, ...come].sort(oldestFirst),
    };
  });
}

const NONE = (waitsFor: OpenWorkGroup["waitsFor"]): OpenWorkGroup => ({
  waitsFor,
  count: 0,
  workOrders: [],
  next: null,
});

function oldestFirst(a: WorkOrderSummary, b: WorkOrderSummary): number {
  if (a.since !== b.since) return a.since < b.since ? -1 : 1;
  return a.id < b.id ? -1 : 1;
}
