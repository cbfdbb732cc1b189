import {
  dueServices,
  intervalsFor,
  jobTotals,
  lastService,
  odometerTrend,
  picturesOf,
  pointById,
  standingUnsafe,
  type BusinessSettings,
  type Picture,
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
const MOST_PICTURES = 120;

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
        askOn: job.answer?.askOn ?? null,
        reason: job.answer?.reason ?? "",
        photoIds: job.pointIds.flatMap((pointId) =>
          picturesOf(state, "point", pointId).flatMap(({ photoId, media }) => (media === "photo" ? [photoId] : [])),
        ),
      })),
    ),
    lastService: lastService(states),
    odometer: { ...trend, predictedMiles: predictMiles(trend, at) },
    specs: row.specs,
    corrections: row.corrections,
    unsafe: work.flatMap(({ id: workOrderId, number, state }) =>
      standingUnsafe(state).map(({ finding: { pointId, at: since }, isTold }) => ({
        ...{ workOrderId, number, at: since, isTold },
        title: pointById(pointId, state, settings.inspection)?.title ?? pointId,
      })),
    ),
    pictures: work
      .flatMap(({ number, state }) =>
        state.pictures.map(({ photoId, media, at: takenAt, ...picture }) => ({
          ...{ photoId, media, at: takenAt, number, title: titleOfPicture(picture, state, settings.inspection) },
        })),
      )
      .sort((a, b) => (a.at > b.at ? -1 : 1))
      .slice(0, MOST_PICTURES),
    due: dueServices(intervals, servicesDone(states, settings.intervals), trend, at, scope.timeZone),
    pastWork,
    pastWorkCount,
  };
}

/** What a picture shows, in words. */
function titleOfPicture(
  { of, id }: Pick<Picture, "of" | "id">,
  state: WorkOrderState,
  points: BusinessSettings["inspection"],
): string {
  if (of === "point") return pointById(id, state, points)?.title ?? id;
  if (of === "job") return state.jobs.find((job) => job.id === id)?.title ?? "Work";
  if (of === "line")
    return state.jobs.flatMap(({ lines }) => lines).find((line) => line.id === id)?.description ?? "Part";
  return PICTURE_TITLES[of];
}
const PICTURE_TITLES = {
  mark: "Damage of before",
  place: "The place",
  concern: "A concern",
  apart: "Left apart",
  handBack: "Hand-back",
} as const;

function putOff(state: WorkOrderState): { job: WorkOrderState["jobs"][number]; thenCents: number; at: string }[] {
  const totals = jobTotals(state);
  return state.jobs.flatMap((job) => {
    if (job.answer?.value !== "later") return [];
    const at = state.approvals.find(({ id }) => id === job.answer?.approvalId)?.at ?? state.openedAt;
    return [{ job, thenCents: totals.get(job.id) ?? 0, at }];
  });
}
