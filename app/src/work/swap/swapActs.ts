import type { Act } from "../../sync/pending";
import type { SwapKeeps } from "./SwapMeaning";
import type { SwapTarget } from "./swapTarget";

/** What swapping the car or the customer of a work order does. */
export function swapActs(workOrderId: string, target: SwapTarget, { keepFindings, keepAnswers }: SwapKeeps): Act[] {
  const about = { kind: "workOrder" as const, target: workOrderId };
  if (target.kind === "customer") {
    const { customer } = target;
    const command = { type: "changeCustomer" as const, customerId: customer.id, keepAnswers };
    return [{ ...about, command, parties: { customer } }];
  }
  const vehicle = target.kind === "vehicle" ? target.vehicle : null;
  const command = { type: "changeVehicle" as const, vehicleId: vehicle?.id ?? null, keepFindings, keepAnswers };
  return [...(target.kind === "vehicle" ? target.keep : []), { ...about, command, parties: { vehicle } }];
}
