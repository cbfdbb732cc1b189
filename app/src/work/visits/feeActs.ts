import { showCustomer, VISIT_FEE_TITLES, type VisitState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { v5 } from "uuid";
import type { Act } from "../../sync/pending";

/** The ids a visit's fee has on a work order: charged twice, from two devices, it stands there once. */
export function feeIds(
  visitId: string,
  workOrderId: string,
  kind: "callOut" | "callOff",
): { jobId: string; lineId: string } {
  const idOf = (what: string): string => v5(`${what} ${visitId} ${workOrderId}`, v5.URL);
  return { jobId: idOf(kind), lineId: idOf(`${kind} line`) };
}

/** The owner's fee for a visit called off late, agreed to with the terms: a job with a yes that is done. */
export function callOffFeeActs(
  { id: visitId }: VisitState,
  { state, customer }: WorkOrderView,
  feeCents: number,
): Act[] {
  const { jobId, lineId } = feeIds(visitId, state.id, "callOff");
  const title = VISIT_FEE_TITLES.callOff;
  const of = { kind: "workOrder" as const, target: state.id };
  return [
    { ...of, command: { type: "addVisitFee", jobId, lineId, kind: "callOff", cars: 1, car: 0 } },
    {
      ...of,
      command: {
        type: "recordAnswers",
        approvalId: v5(`approval ${jobId}`, v5.URL),
        way: "spoken",
        name: showCustomer(customer),
        signature: [],
        answers: [{ jobId, title, answer: "yes", totalCents: feeCents }],
        totalCents: feeCents,
      },
    },
    { ...of, command: { type: "finishJobs", jobIds: [jobId] } },
  ];
}
