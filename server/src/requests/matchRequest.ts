import { cleanVin } from "@mechanon/core/vin";
import type { RequestMatches } from "@mechanon/contract";
import { Op, type Sequelize } from "sequelize";
import { likelyCustomers } from "../customers/likely";
import { findCustomer } from "../customers/service";
import type { Scope } from "../scope";
import { VehicleRow } from "../vehicles/model";
import { readPlate } from "../vehicles/service";
import { toVehicle } from "../vehicles/toVehicle";
import type { KeptRequest } from "./model";

/** Who and which car a request may be of, with why; for us only. */
export async function matchRequest(
  db: Sequelize,
  scope: Pick<Scope, "businessId">,
  { asked, phone, email }: Pick<KeptRequest, "asked" | "phone" | "email">,
): Promise<RequestMatches> {
  const { businessId } = scope;
  const { name, place, car } = asked;
  const likely = await likelyCustomers(db, scope, {
    name,
    phones: phone === null ? [] : [{ number: phone }],
    emails: email === null ? [] : [{ address: email }],
    billingAddress: place,
  });
  const cars = await VehicleRow.findAll({
    where: { businessId, customerId: { [Op.in]: likely.map(({ customer }) => customer.id) } },
    order: ["id"],
  });
  const known = await keptCar(businessId, car);
  const owner = known && (await findCustomer(scope, known.customerId));
  return {
    customers: likely.map(({ customer, likenesses }) => ({
      customer,
      likenesses,
      cars: cars.filter(({ customerId }) => customerId === customer.id).map(toVehicle),
    })),
    car: known && owner ? { vehicle: toVehicle(known), ownerId: owner.id, ownerName: owner.name } : null,
  };
}

/** The car that is kept under a plate or VIN; null: none is, or neither was told. */
export async function keptCar(
  businessId: string,
  { vin, plate, region }: { vin: string; plate: string; region: string },
): Promise<VehicleRow | null> {
  if (vin !== "") {
    const byVin = await VehicleRow.findOne({ where: { businessId, vin: cleanVin(vin) } });
    if (byVin) return byVin;
  }
  if (plate === "" || region === "") return null;
  const read = readPlate(plate, region);
  return VehicleRow.findOne({ where: { businessId, plateKey: read.key, region: read.region } });
}
