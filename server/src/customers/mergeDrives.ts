import { Op, type Transaction } from "sequelize";
import type { CustomerMerge } from "./model";
import { VehiclePersonRow, VehicleRow } from "../vehicles/model";

/** Somebody who has to do with a car of somebody else. */
type DriveLink = CustomerMerge["drivesBefore"][number];

/**
 * Gives what the merged record drove to the kept one, after the cars themselves moved; nobody is linked to a car of
 * their own.
 * @returns the links of both as they were, for parting them.
 */
export async function mergeDrives(
  businessId: string,
  keptId: string,
  mergedId: string,
  transaction: Transaction,
): Promise<DriveLink[]> {
  const both = { businessId, customerId: [keptId, mergedId] };
  const rows = await VehiclePersonRow.findAll({ where: both, transaction });
  const before = rows.map(({ vehicleId, customerId, role }) => ({ vehicleId, customerId, role }));
  await VehiclePersonRow.destroy({ where: both, transaction });
  // The kept one's role counts where both drove the same car.
  const joined = [...before]
    .sort((one) => (one.customerId === keptId ? -1 : 1))
    .map((link) => ({ ...link, customerId: keptId }));
  await link(businessId, joined, transaction);
  return before;
}

/** Gives each of the two back what they drove before; what the kept one took up since, it keeps. */
export async function partDrives(
  businessId: string,
  keptId: string,
  before: DriveLink[],
  transaction: Transaction,
): Promise<void> {
  const vehicleId = before.map((each) => each.vehicleId);
  await VehiclePersonRow.destroy({ where: { businessId, customerId: keptId, vehicleId }, transaction });
  await link(businessId, before, transaction);
}

/** Links that exist already stay; cars that are gone, or their owner's own, are left out. */
async function link(businessId: string, links: DriveLink[], transaction: Transaction): Promise<void> {
  if (links.length === 0) return;
  const cars = await VehicleRow.findAll({
    attributes: ["id", "customerId"],
    where: { businessId, id: { [Op.in]: links.map(({ vehicleId }) => vehicleId) } },
    transaction,
  });
  const owners = new Map(cars.map(({ id, customerId }) => [id, customerId]));
  const sound = links.filter(({ vehicleId, customerId }) => ![undefined, customerId].includes(owners.get(vehicleId)));
  await VehiclePersonRow.bulkCreate(
    sound.map((each) => ({ businessId, ...each })),
    { ignoreDuplicates: true, transaction },
  );
}
