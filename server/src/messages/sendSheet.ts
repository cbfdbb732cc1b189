import { showVehicle } from "@mechanon/core";
import { findCustomer } from "../customers/service";
import type { Deps, Scope } from "../scope";
import { findVehicle } from "../vehicles/service";
import { findWorkOrder } from "../workOrders/service";
import { readReach } from "./readReach";
import { tellCustomer } from "./tellCustomer";

/**
 * Sends a mechanic the sheet of a work order: a link that opens for who is signed in, since the sheet says where the key
 * lies, with the sheet itself where it goes by mail. The same message id goes out once.
 * @param to - a phone or an address, as typed.
 * @throws {AppError} `message/no-reach`, `work-order/not-found`.
 */
export async function sendSheet(
  deps: Pick<Deps, "db" | "rules" | "config">,
  scope: Scope,
  workOrderId: string,
  { messageId, to }: { messageId: string; to: string },
): Promise<void> {
  const way = readReach(to);
  const { number, customerId, vehicleId } = await findWorkOrder(scope, workOrderId);
  const customer = customerId === null ? null : await findCustomer(scope, customerId);
  const vehicle = vehicleId === null ? null : await findVehicle(scope, vehicleId);
  const nobody = { phones: [], emails: [], preferredContact: null, textConsent: null, emailConsent: null };
  await deps.db.transaction((transaction) =>
    tellCustomer(
      deps,
      scope,
      {
        kind: "sheet",
        key: messageId,
        messageId,
        told: { ...nobody, name: "", language: "en" },
        about: { workOrderId, customerId: null },
        values: {
          customer: customer?.name ?? "",
          car: vehicle ? showVehicle(vehicle) : "",
          words: String(number),
        },
        link: `${deps.config.publicUrl}/work/${workOrderId}/papers/mechanicsSheet`,
        ways: [way],
        attaches: "mechanicsSheet",
        isByHand: true,
      },
      transaction,
    ),
  );
}
