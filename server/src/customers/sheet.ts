import { jobTotals, showVehicle, type WorkOrderState } from "@mechanon/core";
import type { CustomerSheetView, CustomerVisit } from "@mechanon/contract";
import { Op, type Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { Person } from "../access/model";
import { CustomerMerge, CustomerRow } from "./model";
import { VehiclePersonRow, VehicleRow } from "../vehicles/model";
import { WorkOrderRow } from "../workOrders/model";
import { MESSAGE_JSON } from "../messages/openMessages";
import type { Scope } from "../scope";
import { toVehicle } from "../vehicles/toVehicle";
import { listWorkOrders, pastWorkPage } from "../workOrders/summaries";
import { undoUntil } from "./merge";
import { findCustomer } from "./service";
import { toCustomer } from "./toCustomer";

const MOST_OPEN = 50;
const MOST_VISITS = 10;
const WORK_WITH_LAST_VISITS = 60;
const MOST_LATER = 30;
const MOST_MESSAGES = 10;

/** A customer with all that hangs on them. */
export async function customerSheet(db: Sequelize, scope: Scope, askedId: string): Promise<CustomerSheetView> {
  const { businessId } = scope;
  const customer = await findCustomer(scope, askedId);
  const { id } = customer;
  const [vehicles, openWork, pastWork, pastWorkCount, owed, laterRows, coming, last, messages, merges, drives] =
    await Promise.all([
      VehicleRow.findAll({ where: { businessId, customerId: id }, order: ["year", "id"], raw: true }),
      listWorkOrders(db, scope, "openOfCustomer", id, { most: MOST_OPEN }),
      pastWorkPage(db, scope, "pastOfCustomer", id, 0),
      WorkOrderRow.count({ where: { businessId, customerId: id, waitsFor: null } }),
      WorkOrderRow.sum("dueCents", { where: { businessId, customerId: id } }),
      WorkOrderRow.findAll({
        attributes: ["id", "vehicleId", "state"],
        where: { businessId, customerId: id, laterCount: { [Op.gt]: 0 } },
        order: [["openedAt", "DESC"]],
        limit: MOST_LATER,
      }),
      comingVisits(db, businessId, id),
      lastVisits(db, businessId, id),
      lastMessages(db, businessId, id),
      mergesInto(businessId, id),
      drivenBy(businessId, id),
    ]);
  const carNames = new Map(vehicles.map((car) => [car.id, showVehicle(car)]));
  return {
    customer: toCustomer(customer),
    vehicles: vehicles.map(toVehicle),
    drives,
    openWork,
    comingVisits: coming,
    lastVisits: last,
    // Sequelize gives null where there is nothing to add up.
    owedCents: owed ?? 0,
    later: laterRows.flatMap((row) => laterJobs(row.id, row.state, carNames.get(row.vehicleId ?? "") ?? "")),
    messages,
    pastWork,
    pastWorkCount,
    merges,
  };
}

/** Cars of others that somebody is linked to. */
async function drivenBy(businessId: string, customerId: string): Promise<CustomerSheetView["drives"]> {
  const links = await VehiclePersonRow.findAll({ where: { businessId, customerId } });
  if (links.length === 0) return [];
  const cars = await VehicleRow.findAll({ where: { businessId, id: links.map(({ vehicleId }) => vehicleId) } });
  const owners = await CustomerRow.findAll({
    attributes: ["id", "name"],
    where: { businessId, id: cars.map((car) => car.customerId) },
  });
  return cars.map((car) => ({
    vehicle: toVehicle(car),
    ownerName: owners.find(({ id }) => id === car.customerId)?.name ?? "",
    role: links.find(({ vehicleId }) => vehicleId === car.id)?.role ?? "",
  }));
}

function laterJobs(workOrderId: string, state: WorkOrderState, vehicleName: string): CustomerSheetView["later"] {
  const totals = jobTotals(state);
  return state.jobs.flatMap(({ id: jobId, title, answer }) => {
    if (answer?.value !== "later") return [];
    const at = state.approvals.find((approval) => approval.id === answer.approvalId)?.at ?? state.openedAt;
    return [{ workOrderId, jobId, title, vehicleName, totalCents: totals.get(jobId) ?? 0, at }];
  });
}

interface VisitFound {
  id: string;
  work_order_id: string;
  starts_at: Date;
  mechanic: string;
  street: string;
  cancelled: boolean;
  year: number | null;
  make: string | null;
  model: string | null;
}

/** What both kinds of visits are read from, once the links in question are known as `near`. */
const VISITS = `
  select visits.id, near.work_order_id, starts_at, people.name as mechanic, cancelled,
    visits.state->'place'->>'street' as street, vehicles.year, vehicles.make, vehicles.model
  from near
  join visits on visits.business_id = $1 and visits.id = near.visit_id
  join work_orders on work_orders.business_id = $1 and work_orders.id = near.work_order_id
  join people on people.business_id = $1 and people.id = visits.mechanic_id
  left join vehicles on vehicles.business_id = $1 and vehicles.id = work_orders.vehicle_id`;

/** Visits from yesterday on that are not over; the business's calendar is short there, whatever the customer's history. */
function comingVisits(db: Sequelize, businessId: string, customerId: string): Promise<CustomerVisit[]> {
  return readVisits(
    db,
    `with near as materialized (
       select visit_id, work_order_id from visits
       join visit_work_orders on visit_work_orders.business_id = $1 and visit_id = visits.id
       where visits.business_id = $1 and starts_at > now() - interval '1 day' and not cancelled and left_at is null and state->>'leftAt' is null)
     ${VISITS} where work_orders.customer_id = $2 order by starts_at limit ${MOST_VISITS}`,
    [businessId, customerId],
  );
}

/** Visits that are over or were cancelled, of the newest work orders: an old one seldom has a late visit. */
function lastVisits(db: Sequelize, businessId: string, customerId: string): Promise<CustomerVisit[]> {
  return readVisits(
    db,
    `with near as materialized (
       select visit_id, work_order_id from visit_work_orders
       where business_id = $1 and work_order_id = any(array(
         select id from work_orders where business_id = $1 and customer_id = $2 order by opened_at desc limit ${WORK_WITH_LAST_VISITS})))
     ${VISITS} where cancelled or visits.left_at is not null or visits.state->>'leftAt' is not null order by starts_at desc limit ${MOST_VISITS}`,
    [businessId, customerId],
  );
}

async function readVisits(db: Sequelize, sql: string, bind: string[]): Promise<CustomerVisit[]> {
  const rows = await askPrepared<VisitFound>(db, sql, bind);
  return rows.map(({ id, work_order_id: workOrderId, starts_at: startsAt, mechanic, street, cancelled, ...car }) => ({
    id,
    workOrderId,
    startsAt: startsAt.toISOString(),
    mechanicName: mechanic,
    street,
    vehicleName: showVehicle(car),
    cancelled,
  }));
}

async function lastMessages(
  db: Sequelize,
  businessId: string,
  customerId: string,
): Promise<CustomerSheetView["messages"]> {
  const rows = await askPrepared<{ message: CustomerSheetView["messages"][number] }>(
    db,
    `select ${MESSAGE_JSON} as message from messages m
     where m.business_id = $1 and (m.customer_id = $2
       or m.work_order_id in (select id from work_orders where business_id = $1 and customer_id = $2))
     order by m.created_at desc limit ${MOST_MESSAGES}`,
    [businessId, customerId],
  );
  return rows.map(({ message }) => message);
}

async function mergesInto(businessId: string, keptId: string): Promise<CustomerSheetView["merges"]> {
  const rows = await CustomerMerge.findAll({
    where: { businessId, keptId, undoneAt: null },
    order: [["mergedAt", "DESC"]],
  });
  const standing = rows.filter(({ mergedAt }) => undoUntil(mergedAt) > new Date());
  if (standing.length === 0) return [];
  const [customers, people] = await Promise.all([
    CustomerRow.findAll({ where: { businessId, id: standing.map(({ mergedId }) => mergedId) } }),
    Person.findAll({ where: { businessId, id: standing.map(({ mergedBy }) => mergedBy) } }),
  ]);
  const named = new Map([...customers, ...people].map(({ id, name }) => [id, name]));
  return standing.map(({ id, mergedId, mergedBy, mergedAt }) => ({
    id,
    mergedName: named.get(mergedId) ?? "",
    at: mergedAt.toISOString(),
    by: named.get(mergedBy) ?? "",
    undoUntil: undoUntil(mergedAt).toISOString(),
  }));
}
