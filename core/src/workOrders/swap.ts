import { balanceOf } from "../payments/balance";
import { approvedParts } from "./partStatus";
import type { CommandContext } from "./commandContext";
import type { WorkOrderCommandOf } from "./commands";
import type { Job, WorkOrderState } from "./state";

/** Puts another car on the work order, or none. What was found on the wrong car goes; work that is done stays. */
export function changeVehicle(
  state: WorkOrderState,
  { vehicleId, keepFindings, keepAnswers }: WorkOrderCommandOf<"changeVehicle">,
): WorkOrderState {
  if (vehicleId === state.vehicleId) return state;
  return {
    ...state,
    vehicleId,
    findings: keepFindings ? state.findings : [],
    odometerMiles: keepFindings ? state.odometerMiles : null,
    pressures: keepFindings ? state.pressures : null,
    jobs: keepAnswers ? state.jobs : state.jobs.map(asksAnew),
  };
}

/** Makes the work order another customer's. Approvals stay on record; whether they still hold is the caller's to say. */
export function changeCustomer(
  state: WorkOrderState,
  { customerId, keepAnswers }: WorkOrderCommandOf<"changeCustomer">,
  { taxExempt }: CommandContext,
): WorkOrderState {
  if (customerId === state.customerId) return state;
  return { ...state, customerId, taxExempt, jobs: keepAnswers ? state.jobs : state.jobs.map(asksAnew) };
}

/** A finished job keeps its answer: it was done on the strength of it. */
function asksAnew(job: Job): Job {
  return job.finishedAt === null ? { ...job, answer: null } : job;
}

/** What hangs on a work order that a swap of car or customer touches. */
export interface SwapStakes {
  findings: number;
  odometerMiles: number | null;
  /** Jobs priced for the car: hours, parts and amounts may not fit another. */
  pricedJobs: number;
  /** Jobs with an answer that is not for finished work. */
  answers: number;
  finishedJobs: number;
  /** Parts on order or in hand, not fitted. */
  partsOnTheWay: number;
  paidCents: number;
}

export function swapStakes(state: WorkOrderState): SwapStakes {
  return {
    findings: state.findings.length,
    odometerMiles: state.odometerMiles?.value ?? null,
    pricedJobs: state.jobs.filter(({ finishedAt }) => finishedAt === null).length,
    answers: state.jobs.filter(({ answer, finishedAt }) => answer !== null && finishedAt === null).length,
    finishedJobs: state.jobs.filter(({ finishedAt }) => finishedAt !== null).length,
    partsOnTheWay: approvedParts(state, "ordered").length + approvedParts(state, "inHand").length,
    paidCents: balanceOf(state).paidCents,
  };
}
