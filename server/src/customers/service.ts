import type { z } from "zod";
import type { Customer, CustomerSheet, customerBody } from "@mechanon/contract";
import type { Transaction } from "sequelize";
import { CustomerRow, VehicleRow, WorkOrderRow } from "../db/models";
import { AppError } from "../http/errors";
import type { Scope } from "../scope";
import { toVehicle } from "../vehicles/toVehicle";
import { summarize } from "../workOrders/summaries";

type CustomerBody = z.output<typeof customerBody>;

export function toCustomer({ id, name, phone, email, place, taxExempt, version }: CustomerRow): Customer {
  return { id, name, phone, email, place, taxExempt, version };
}

export async function createCustomer(scope: Scope, body: CustomerBody, transaction: Transaction): Promise<Customer> {
  const row = await CustomerRow.create(
    { ...body, businessId: scope.businessId, version: 1, taxExempt: false },
    { transaction },
  );
  return toCustomer(row);
}

/** @throws {AppError} `customer/not-found`, also for another business's customer. */
export async function findCustomer(
  { businessId }: Pick<Scope, "businessId">,
  id: string,
  transaction?: Transaction,
): Promise<CustomerRow> {
  const row = await CustomerRow.findOne({ where: { businessId, id }, transaction });
  if (!row)
    throw new AppError("customer/not-found", "This customer is not kept here. Search for the name or the phone.");
  return row;
}

/** @throws {AppError} `version/changed` when somebody else changed it meanwhile. */
export async function changeCustomer(
  scope: Scope,
  id: string,
  { version, ...changes }: Omit<CustomerBody, "id"> & { version: number },
): Promise<Customer> {
  await findCustomer(scope, id);
  const [count] = await CustomerRow.update(
    { ...changes, version: version + 1 },
    { where: { businessId: scope.businessId, id, version } },
  );
  if (count === 0)
    throw new AppError(
      "version/changed",
      "Somebody else changed this customer meanwhile. What you typed is still here; load the newest and compare.",
    );
  return toCustomer(await findCustomer(scope, id));
}

export async function customerSheet(scope: Scope, id: string): Promise<CustomerSheet> {
  const { businessId } = scope;
  const customer = await findCustomer(scope, id);
  const [vehicles, orders] = await Promise.all([
    VehicleRow.findAll({ where: { businessId, customerId: id }, order: ["year", "id"] }),
    WorkOrderRow.findAll({ where: { businessId, customerId: id }, order: [["openedAt", "DESC"]] }),
  ]);
  return {
    customer: toCustomer(customer),
    vehicles: vehicles.map(toVehicle),
    workOrders: await summarize(scope, orders),
  };
}
