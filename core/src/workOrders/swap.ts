import { z } from "zod";
import { uuid } from "../commands/fields";
import { ruleFor } from "../commands/rule";
import { balanceOf } from "../payments/balance";
import type { Job } from "../quoting/slice";
import { approvedParts } from "../sourcing/partStatus";
import type { WorkOrderContext } from "./context";
import { NOTHING_SEEN } from "./openWorkOrder";
import type { WorkOrderState } from "./state";

/** Another car, or none for now. What was found and answered was about the car in front, or about the wrong one. */
const changeVehicleSchema = z.strictObject({
  type: z.literal("changeVehicle"),
  vehicleId: uuid.nullable(),
  keepFindings: z.boolean(),
  keepAnswers: z.boolean(),
});
/** Another customer: the record was the wrong one, or it is only now known whose it is. */
const changeCustomerSchema = z.strictObject({
  type: z.literal("changeCustomer"),
  customerId: uuid,
  keepAnswers: z.boolean(),
});

const rule = ruleFor<WorkOrderState, WorkOrderState, WorkOrderContext>();

export const swapRules = {
  changeVehicle: rule({
    schema: changeVehicleSchema,
    kind: "intention",
    needs: ["vehicle"],
    apply: changeVehicle,
  }),
  changeCustomer: rule({
    schema: changeCustomerSchema,
    kind: "intention",
    needs: ["customer"],
    apply: changeCustomer,
  }),
};

/** What was found on the wrong car goes; work that is done stays. */
function changeVehicle(
  state: WorkOrderState,
  { vehicleId, keepFindings, keepAnswers }: z.output<typeof changeVehicleSchema>,
): Partial<WorkOrderState> {
  if (vehicleId === state.vehicleId) return {};
  const found = keepFindings ? {} : NOTHING_SEEN;
  return { vehicleId, ...found, ...(keepAnswers ? {} : { jobs: state.jobs.map(asksAnew) }) };
}

/** Approvals stay on record; whether they still hold is the caller's to say. */
function changeCustomer(
  state: WorkOrderState,
  { customerId, keepAnswers }: z.output<typeof changeCustomerSchema>,
  { taxExempt }: WorkOrderContext,
): Partial<WorkOrderState> {
  if (customerId === state.customerId) return {};
  return { customerId, taxExempt, ...(keepAnswers ? {} : { jobs: state.jobs.map(asksAnew) }) };
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

/** What hangs on a work order by now; miles and cents as they stand. */
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
