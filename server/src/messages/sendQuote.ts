import { quoteTotalCents, showMoney, showVehicle, upgradeDetails } from "@mechanon/core";
import { findCustomer } from "../customers/service";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { Deps, Scope } from "../scope";
import { findVehicle } from "../vehicles/service";
import { findWorkOrder } from "../workOrders/service";
import { readReach } from "./readReach";
import { tellCustomer } from "./tellCustomer";

/**
 * Sends a customer what was found on their car and what it would cost, with the quote as a PDF where it goes by mail; from
 * then on their page shows it. The same message id goes out once.
 * @param to - a phone or an address, as typed; left out: by the way they want.
 * @throws {AppError} `message/no-way`, `message/no-reach`.
 */
export async function sendQuote(
  deps: Pick<Deps, "db" | "rules" | "config">,
  scope: Scope,
  workOrderId: string,
  { messageId, to }: { messageId: string; to?: string | undefined },
): Promise<void> {
  const { customerId, vehicleId, state } = await findWorkOrder(scope, workOrderId);
  const noWay = new AppError(
    "message/no-way",
    "No phone that takes texts and no email is kept of this customer. Nothing was sent; turn the screen to them, or call.",
  );
  if (customerId === null) throw noWay;
  const { id, name, details } = await findCustomer(scope, customerId);
  const vehicle = vehicleId === null ? null : await findVehicle(scope, vehicleId);
  const queued = await deps.db.transaction((transaction) =>
    tellCustomer(
      deps,
      scope,
      {
        kind: "quoted",
        key: messageId,
        messageId,
        told: { name, ...upgradeDetails(details) },
        about: { workOrderId, customerId: id },
        values: { car: vehicle ? showVehicle(vehicle) : "", amount: showMoney(quoteTotalCents(state)) },
        attaches: "quote",
        ...(to === undefined ? {} : { ways: [readReach(to)] }),
        isByHand: true,
      },
      transaction,
    ),
  );
  if (queued === 0 && !(await isSent(deps, scope, messageId))) throw noWay;
}

async function isSent({ db }: Pick<Deps, "db">, { businessId }: Scope, id: string): Promise<boolean> {
  return (
    (await askPrepared(db, "select 1 from messages where business_id = $1 and id = $2", [businessId, id])).length > 0
  );
}
