import type { VisitState, WorkOrderState } from "@mechanon/core";
import type { WorkOrderChange, WorkOrderView } from "@mechanon/contract";

/**
 * A work order with what the server says its commands changed.
 *
 * @param known - the device's copy of the server's; undefined: it has none.
 * @returns null where the change was made to another revision than the one known: the whole has to be loaded.
 */
export function mergeChange(known: WorkOrderView | undefined, change: WorkOrderChange): WorkOrderView | null {
  if (known && known.revision >= change.revision) return known;
  if (change.fromRevision === 0 && !known) return opened(change);
  if (known?.revision !== change.fromRevision) return null;
  const { customer, vehicle, odometerBefore, carBefore } = change.parties ?? known;
  const state = { ...known.state, ...change.state };
  return { ...known, revision: change.revision, state, customer, vehicle, odometerBefore, carBefore };
}

/** A work order that was only now opened: nothing but its state is there yet. */
function opened({ number, revision, state, parties }: WorkOrderChange): WorkOrderView | null {
  if (!isWhole(state) || !parties) return null;
  return {
    number,
    revision,
    state,
    ...parties,
    visits: [],
    messages: [],
    askedBefore: null,
    customerPhotoIds: [],
    requests: [],
    pageOpenedAt: null,
    receiptLinks: [],
  };
}

function isWhole(state: WorkOrderChange["state"]): state is WorkOrderState {
  return state.id !== undefined && state.jobs !== undefined && state.payments !== undefined;
}

/** A work order with a visit of its own as the server has it now, earliest first. */
export function withVisit(view: WorkOrderView, visit: VisitState): WorkOrderView {
  const others = view.visits.filter(({ id }) => id !== visit.id);
  return { ...view, visits: [...others, visit].sort((a, b) => (a.startsAt < b.startsAt ? -1 : 1)) };
}
