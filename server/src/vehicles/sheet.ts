import {
  dueServices,
  intervalsFor,
  jobTotals,
  lastService,
  odometerTrend,
  predictMiles,
  priceToday,
  servicesDone,
  type WorkOrderState,
} from "@mechanon/core";
import type { PutOffJob, VehicleSheetView } from "@mechanon/contract";
import { findCustomer } from "../customers/service";
import { WorkOrderRow } from "../workOrders/model";
import type { Deps, Scope } from "../scope";
import { listWorkOrders, pastWorkPage } from "../workOrders/summaries";
import { movesOf } from "./people";
import { peopleOf } from "./peopleOf";
import { findVehicle } from "./service";
import { toVehicle } from "./toVehicle";

const MOST_OPEN = 50;
/** Older work says nothing of services due. */
const MOST_STATES = 200;

/** A car with all that hangs on it. */
export async function vehicleSheet(
  { db, rules }: Pick<Deps, "db" | "rules">,
  scope: Scope,
  id: string,
  now: Date,
): Promise<VehicleSheetView> {
  const { businessId } = scope;
  const row = await findVehicle(scope, id);
  const where = { businessId, vehicleId: id };
  const [owner, people, moves, openWork, pastWork, pastWorkCount, work, { settings, library }] = await Promise.all([
    findCustomer(scope, row.customerId),
    peopleOf(businessId, [id]),
    movesOf(db, businessId, id),
    listWorkOrders(db, scope, "openOfVehicle", id, { most: MOST_OPEN }),
    pastWorkPage(db, scope, "pastOfVehicle", id, 0),
    WorkOrderRow.count({ where: { ...where, waitsFor: null } }),
    WorkOrderRow.findAll({
      attributes: ["id", "number", "state"],
      where,
      order: [["openedAt", "DESC"]],
      limit: MOST_STATES,
    }),
    rules.now(businessId),
  ]);
  const states = work.map(({ state }) => state);
  const trend = odometerTrend(
    work.flatMap(({ id: workOrderId, number, state: { odometerMiles: read } }) =>
      read ? [{ miles: read.value, at: read.at, workOrderId, number }] : [],
    ),
  );
  const intervals = intervalsFor(row.specs?.intervals ?? [], settings.intervals, owner.details.serviceIntervals);
  const at = now.toISOString();
  return {
    vehicle: toVehicle(row),
    owner: { id: owner.id, name: owner.name },
    people: people.map(({ customerId, name, role }) => ({ customerId, name, role })),
    moves,
    openWork,
    later: work.flatMap(({ id: workOrderId, number, state }) =>
      putOff(state).map(({ job, thenCents, at: putOffAt }): PutOffJob => ({
        workOrderId,
        number,
        jobId: job.id,
        libraryJobId: job.libraryJobId,
        title: job.title,
        at: putOffAt,
        thenCents,
        nowCents: priceToday(job, state.taxExempt, library, settings.rules),
      })),
    ),
    lastService: lastService(states),
    odometer: { ...trend, predictedMiles: predictMiles(trend, at) },
    specs: row.specs,
    corrections: row.corrections,
    due: dueServices(intervals, servicesDone(states, settings.intervals), trend, at, scope.timeZone),
    pastWork,
    pastWorkCount,
  };
}

function putOff(state: WorkOrderState): { job: WorkOrderState["jobs"][number]; thenCents: number; at: string }[] {
  const totals = jobTotals(state);
  return state.jobs.flatMap((job) => {
    if (job.answer?.value !== "later") return [];
    const at = state.approvals.find(({ id }) => id === job.answer?.approvalId)?.at ?? state.openedAt;
    return [{ job, thenCents: totals.get(job.id) ?? 0, at }];
  });
}
