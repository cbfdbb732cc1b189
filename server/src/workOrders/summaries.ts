import { showVehicle, visitStanding, type Wait } from "@mechanon/core";
import type { WorkOrderSummary } from "@mechanon/contract";
import { literal, type Order, type WhereOptions } from "sequelize";
import { CustomerRow, VehicleRow, WorkOrderRow } from "../db/models";
import type { Scope } from "../scope";
import { visitsOf } from "../visits/queries";

/** What a list needs of a work order; its state stays in the database. */
interface Listed {
  id: string;
  number: number;
  customerId: string;
  vehicleId: string | null;
  waitsFor: Wait | null;
  waitsSince: Date;
  totalCents: number;
  dueCents: number;
  openConflicts: number;
  openedAt: Date;
  concerns: string[];
}

const CONCERNS = `array(select item->>'text' from jsonb_array_elements("WorkOrderRow"."state"->'concerns') item)`;

const PAST_PAGE = 20;

/** A page of work that is over, of a customer or of a car, newest first. @param from - how many are left out. */
export function pastWorkPage(
  scope: Scope,
  of: { customerId: string } | { vehicleId: string },
  from: number,
): Promise<WorkOrderSummary[]> {
  return listWorkOrders(
    scope,
    { ...of, waitsFor: null },
    { order: [["openedAt", "DESC"]], limit: PAST_PAGE, offset: from },
  );
}

/** Work orders as lists show them; customers, cars and visits are fetched once for all. */
export async function listWorkOrders(
  { businessId }: Pick<Scope, "businessId">,
  where: WhereOptions<WorkOrderRow>,
  { order, limit, offset }: { order?: Order; limit?: number; offset?: number } = {},
): Promise<WorkOrderSummary[]> {
  const found = await WorkOrderRow.findAll({
    attributes: [
      "id",
      "number",
      "customerId",
      "vehicleId",
      "waitsFor",
      "waitsSince",
      "totalCents",
      "dueCents",
      "openConflicts",
      "openedAt",
      [literal(CONCERNS), "concerns"],
    ],
    where: { ...where, businessId },
    order,
    limit,
    offset,
    raw: true,
  });
  // The columns are those asked for above.
  const rows = found as unknown as Listed[];
  if (rows.length === 0) return [];
  const [customers, vehicles, visits] = await Promise.all([
    CustomerRow.findAll({
      attributes: ["id", "name"],
      where: { businessId, id: [...new Set(rows.map(({ customerId }) => customerId))] },
    }),
    VehicleRow.findAll({ where: { businessId, id: [...new Set(rows.flatMap(({ vehicleId }) => vehicleId ?? []))] } }),
    visitsOf(
      businessId,
      rows.map(({ id }) => id),
    ),
  ]);
  const nameOf = new Map(customers.map(({ id, name }) => [id, name]));
  const carOf = new Map(vehicles.map((car) => [car.id, car]));
  return rows.map(({ vehicleId, waitsSince, openConflicts, openedAt, ...row }) => {
    const car = carOf.get(vehicleId ?? "");
    const coming = (visits.get(row.id) ?? []).filter((visit) =>
      ["booked", "driving", "onSite"].includes(visitStanding(visit)),
    );
    return {
      ...row,
      customerName: nameOf.get(row.customerId) ?? "",
      vehicleName: showVehicle(car ?? null),
      plate: car?.plate ?? null,
      since: waitsSince.toISOString(),
      conflicts: openConflicts,
      openedAt: openedAt.toISOString(),
      nextVisitAt: coming[0]?.startsAt ?? null,
    };
  });
}
