import { showVehicle, visitStanding } from "@mechanon/core";
import type { WorkOrderSummary } from "@mechanon/contract";
import { CustomerRow, VehicleRow, type WorkOrderRow } from "../db/models";
import type { Scope } from "../scope";
import { visitsOf } from "../visits/queries";

/** Work orders as lists show them; customers, cars and visits are fetched once for all. */
export async function summarize(
  { businessId }: Pick<Scope, "businessId">,
  rows: WorkOrderRow[],
): Promise<WorkOrderSummary[]> {
  if (rows.length === 0) return [];
  const [customers, vehicles, visits] = await Promise.all([
    CustomerRow.findAll({ where: { businessId, id: [...new Set(rows.map(({ customerId }) => customerId))] } }),
    VehicleRow.findAll({ where: { businessId, id: [...new Set(rows.map(({ vehicleId }) => vehicleId))] } }),
    visitsOf(
      businessId,
      rows.map(({ id }) => id),
    ),
  ]);
  const nameOf = new Map(customers.map(({ id, name }) => [id, name]));
  const carOf = new Map(vehicles.map((car) => [car.id, car]));
  return rows.map((row) => {
    const car = carOf.get(row.vehicleId);
    const coming = (visits.get(row.id) ?? []).filter((visit) =>
      ["booked", "driving", "onSite"].includes(visitStanding(visit)),
    );
    return {
      id: row.id,
      number: row.number,
      customerId: row.customerId,
      customerName: nameOf.get(row.customerId) ?? "",
      vehicleName: car ? showVehicle(car) : "",
      plate: car?.plate ?? null,
      concerns: row.state.concerns.map(({ text }) => text),
      waitsFor: row.waitsFor,
      since: row.waitsSince.toISOString(),
      totalCents: row.totalCents,
      dueCents: row.dueCents,
      conflicts: row.openConflicts,
      openedAt: row.openedAt.toISOString(),
      nextVisitAt: coming[0]?.startsAt ?? null,
    };
  });
}
