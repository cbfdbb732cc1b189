import {
  Refusal,
  applyCommand,
  applyVisitCommand,
  type Actor,
  type BusinessSettings,
  type LaborGuide,
  type LibraryJob,
  type VisitState,
  type WorkOrderState,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Pending } from "./pending";
import { withCustomerChanges, withVehicleChanges } from "./withKeptChanges";
import { unclearCharges } from "./unclearCharges";

/** What commands are applied with on the device. */
export interface LocalContext {
  actor: Actor;
  settings: BusinessSettings;
  library: readonly LibraryJob[];
  guide?: LaborGuide | undefined;
}

/**
 * A work order as the device shows it: the server's copy with everything pending applied. A pending command that no
 * longer fits is left out here; the server's answer to it tells the person.
 */
export function withPending(view: WorkOrderView, pending: readonly Pending[], context: LocalContext): WorkOrderView {
  let state: WorkOrderState = view.state;
  let visits: VisitState[] = view.visits;
  let { customer, vehicle } = view;
  for (const item of pending) {
    if (item.kind === "workOrder" && item.target === view.state.id && item.command.type !== "openWorkOrder") {
      if (item.parties?.customer !== undefined) customer = item.parties.customer;
      if (item.parties?.vehicle !== undefined) vehicle = item.parties.vehicle;
      state = orSame(state, () =>
        applyCommand(state, item.command, {
          aggregateId: item.target,
          commandId: item.id,
          at: item.at,
          actor: context.actor,
          settings: context.settings,
          library: context.library,
          guide: context.guide,
          taxExempt: customer ? customer.taxExemption !== null : state.taxExempt,
          unclearChargeCents: unclearCharges(view.requests),
        }),
      );
    }
    if (item.kind === "visit" && item.workOrderId === view.state.id) {
      const before = visits.find(({ id }) => id === item.target) ?? null;
      const after = orSame(before, () =>
        applyVisitCommand(before, item.command, { aggregateId: item.target, at: item.at }),
      );
      visits = [...visits.filter(({ id }) => id !== item.target), ...(after ? [after] : [])].sort((a, b) =>
        a.startsAt < b.startsAt ? -1 : 1,
      );
    }
  }
  return {
    ...view,
    state,
    visits,
    customer: customer && withCustomerChanges(customer, pending),
    vehicle: vehicle && withVehicleChanges(vehicle, pending),
  };
}

function orSame<T>(before: T, change: () => T): T {
  try {
    return change();
  } catch (error) {
    if (error instanceof Refusal) return before;
    throw error;
  }
}
