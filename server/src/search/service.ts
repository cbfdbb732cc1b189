import { normalizePlate } from "@mechanon/core";
import type { Found } from "@mechanon/contract";
import { Op, type WhereOptions } from "sequelize";
import { toCustomer } from "../customers/service";
import { CustomerRow, VehicleRow, WorkOrderRow } from "../db/models";
import type { Scope } from "../scope";
import { toVehicle } from "../vehicles/toVehicle";
import { summarize } from "../workOrders/summaries";

const MOST_CUSTOMERS = 20;
const MOST_ORDERS = 20;
const FEWEST_DIGITS = 3;

/** Customers with their cars, and work orders, by name, phone digits, email, plate, VIN or work order number. */
export async function search(scope: Scope, typed: string): Promise<Found> {
  const { businessId } = scope;
  const query = typed.trim();
  if (query === "") return { customers: [], workOrders: [] };
  const like = { [Op.iLike]: `%${escapeLike(query)}%` };
  const digits = query.replace(/\D/g, "");
  const onlyDigits = /^[\d\s().+-]+$/.test(query) && digits.length >= FEWEST_DIGITS;

  const carWhere: WhereOptions[] = [
    { vin: { [Op.iLike]: `%${escapeLike(query.replace(/[\s-]/g, ""))}%` } },
    { make: like },
    { model: like },
  ];
  const plateKey = plateKeyOf(query);
  if (plateKey !== null) carWhere.push({ plateKey: { [Op.like]: `%${escapeLike(plateKey)}%` } });
  const cars = await VehicleRow.findAll({
    where: { businessId, [Op.or]: carWhere },
    limit: MOST_CUSTOMERS,
    order: ["id"],
  });

  const customerWhere: WhereOptions[] = [
    { name: like },
    { email: like },
    { id: cars.map(({ customerId }) => customerId) },
  ];
  if (onlyDigits) customerWhere.push({ phone: { [Op.like]: `%${digits.replace(/^1(?=\d{10}$)/, "")}%` } });
  const customers = await CustomerRow.findAll({
    where: { businessId, [Op.or]: customerWhere },
    order: ["name"],
    limit: MOST_CUSTOMERS,
  });
  const ids = customers.map(({ id }) => id);
  const number = onlyDigits && digits.length < 10 ? Number(digits) : null;
  const [theirCars, orders] = await Promise.all([
    VehicleRow.findAll({ where: { businessId, customerId: ids }, order: ["id"] }),
    WorkOrderRow.findAll({
      where: {
        businessId,
        [Op.or]: [{ customerId: ids }, ...(number === null || number > 2_000_000_000 ? [] : [{ number }])],
      },
      order: [["openedAt", "DESC"]],
      limit: MOST_ORDERS,
    }),
  ]);
  return {
    customers: customers.map((customer) => ({
      customer: toCustomer(customer),
      vehicles: theirCars.filter(({ customerId }) => customerId === customer.id).map(toVehicle),
    })),
    workOrders: await summarize(scope, orders),
  };
}

/** `%`, `_` and `\` are ordinary characters to whoever types them. */
function escapeLike(text: string): string {
  return text.replace(/[\\%_]/g, "\\$&");
}

function plateKeyOf(query: string): string | null {
  if (!/[\p{L}\p{N}]/u.test(query)) return null;
  return normalizePlate({ plate: query, region: "-" }).key;
}
