import { redactWorkOrder } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { findCustomer } from "../customers/service";
import { toCustomer } from "../customers/toCustomer";
import { CardCharge, Message } from "../db/models";
import type { Scope } from "../scope";
import { findVehicle } from "../vehicles/service";
import { toVehicle } from "../vehicles/toVehicle";
import { visitsOf } from "../visits/queries";
import { findWorkOrder } from "./service";

/** A work order as this person may see it, with all its sheet shows. */
export async function viewWorkOrder(scope: Scope, id: string): Promise<WorkOrderView> {
  const { businessId } = scope;
  const row = await findWorkOrder(scope, id);
  const [customer, vehicle, visits, messages, charges] = await Promise.all([
    findCustomer(scope, row.customerId),
    row.vehicleId === null ? null : findVehicle(scope, row.vehicleId),
    visitsOf(businessId, [id]),
    Message.findAll({ where: { businessId, workOrderId: id }, order: ["createdAt"] }),
    CardCharge.findAll({ where: { businessId, workOrderId: id, status: "asked" }, order: ["askedAt"] }),
  ]);
  return {
    number: row.number,
    revision: row.revision,
    state: redactWorkOrder(row.state, scope.actor),
    customer: toCustomer(customer),
    vehicle: vehicle && toVehicle(vehicle),
    visits: visits.get(id) ?? [],
    messages: messages.map(({ id: messageId, text, status, createdAt, lastError }) => ({
      id: messageId,
      text,
      status,
      at: createdAt.toISOString(),
      lastError,
    })),
    // A charge whose outcome is on the work order already only waits for its own row to be closed.
    pendingCharges: charges
      .filter((charge) => !row.state.payments.some((payment) => payment.id === charge.id))
      .map(({ id: paymentId, amountCents, askedAt }) => ({ paymentId, amountCents, at: askedAt.toISOString() })),
  };
}
