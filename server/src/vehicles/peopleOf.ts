import type { VehiclePerson } from "@mechanon/contract";
import type { Transaction } from "sequelize";
import { findCustomer } from "../customers/service";
import { VehiclePersonRow } from "./model";

/** Who has to do with cars without owning them. */
export async function peopleOf(
  businessId: string,
  vehicleIds: readonly string[],
  transaction?: Transaction,
): Promise<(VehiclePerson & { vehicleId: string })[]> {
  const links = await VehiclePersonRow.findAll({ where: { businessId, vehicleId: [...vehicleIds] }, transaction });
  if (links.length === 0) return [];
  const people: (VehiclePerson & { vehicleId: string })[] = [];
  for (const { vehicleId, customerId, role } of links) {
    // Somebody whose record became part of another's is that other one.
    const { id, name } = await findCustomer({ businessId }, customerId, transaction);
    people.push({ vehicleId, customerId: id, role, name });
  }
  return people.sort((a, b) => a.name.localeCompare(b.name));
}
