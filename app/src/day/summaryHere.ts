import { concernsLeftOpen, listed, showCustomer, showVehicle } from "@mechanon/core";
import type { WorkOrderSummary, WorkOrderView } from "@mechanon/contract";
import { unclearCharges } from "../sync/unclearCharges";

/** A work order as lists show it, from this device's own copy. */
export function summaryHere({ number, state, customer, vehicle, visits, requests }: WorkOrderView): WorkOrderSummary {
  const { waitsFor, waitsSince, totalCents, dueCents, openConflicts, concerns } = listed(state, visits);
  const coming = visits
    .filter(({ cancelledAt, leftAt }) => cancelledAt === null && leftAt === null)
    .map(({ startsAt }) => startsAt)
    .sort();
  return {
    id: state.id,
    number,
    customerId: state.customerId,
    customerName: showCustomer(customer),
    vehicleName: showVehicle(vehicle),
    plate: vehicle?.plate ?? null,
    concerns,
    waitsFor,
    since: waitsSince,
    totalCents,
    dueCents,
    conflicts: openConflicts,
    unclearCents: unclearCharges(requests),
    openConcerns: concernsLeftOpen(state),
    openedAt: state.openedAt,
    nextVisitAt: coming[0] ?? null,
  };
}
