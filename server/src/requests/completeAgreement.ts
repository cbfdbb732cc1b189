import {
  carFactsOf,
  fitJob,
  lastService,
  NO_FACTS,
  otherPartLastTime,
  specLines,
  usualPositions,
  noAccessNotes,
  nothingArranged,
  readPhone,
  streetKey,
  upgradeDetails,
  upgradeWorkOrder,
  type Job,
  type LibraryJob,
  type WorkOrderCommand,
  type WorkOrderState,
} from "@mechanon/core";
import { customerBody, vehicleBody } from "@mechanon/contract";
import { DateTime } from "luxon";
import { v5 as uuidOf } from "uuid";
import { z } from "zod";
import { personScope } from "../access/personScope";
import { CustomerRow } from "../customers/model";
import { createCustomer, findCustomer } from "../customers/service";
import { askPrepared } from "../db/askPrepared";
import { laborGuide } from "../laborGuide/laborGuide";
import type { CommandDeps } from "../commands/aggregate";
import type { Scope } from "../scope";
import { indexCustomers } from "../search/indexCustomers";
import { VehicleRow } from "../vehicles/model";
import { createVehicle } from "../vehicles/service";
import { runVisitCommands } from "../visits/service";
import { runWorkOrderCommands } from "../workOrders/service";
import { needsOfRequest } from "./askTimes";
import { keptCar } from "./matchRequest";
import { findRequest, type KeptRequest } from "./model";

export const agreementPayload = z.object({ businessId: z.string(), requestId: z.string() });

/** More work orders tell nothing new of what was used last. */
const MOST_STATES = 50;

/**
 * Makes customer, car, work order and visit of a request that was agreed to: each under an id that was made with the request,
 * so that it can be done again from wherever it stopped.
 * @returns The work order.
 */
export async function completeAgreement(deps: CommandDeps, businessId: string, requestId: string): Promise<string> {
  const request = await findRequest(deps.db, businessId, requestId);
  const { takenBy, workOrderId, status } = request;
  if (status !== "agreed" || takenBy === null) return workOrderId;
  const scope = await personScope(deps.db, businessId, takenBy);
  const customerId = await customerOf(deps, scope, request);
  const vehicle = await carOf(deps, scope, request, customerId);
  await workOf(deps, scope, request, customerId, vehicle);
  await visitOf(deps, scope, request);
  // What was told and written about the request goes on with the work it became.
  await askPrepared(
    deps.db,
    `update messages set work_order_id = $3, customer_id = coalesce(customer_id, $4)
     where business_id = $1 and request_id = $2 and work_order_id is null`,
    [businessId, requestId, workOrderId, customerId],
  );
  return workOrderId;
}

/** Whoever it was agreed it is: brought up to date with what they said, or new. */
async function customerOf({ db }: CommandDeps, scope: Scope, request: KeptRequest): Promise<string> {
  const { asked, customerId, newCustomerId, phone, email, at } = request;
  const kept =
    customerId === newCustomerId
      ? await CustomerRow.findOne({ where: { businessId: scope.businessId, id: newCustomerId } })
      : null;
  if (kept) return newCustomerId;
  const { place, language } = asked;
  const address = { id: request.id, label: "", place };
  if (customerId !== null && customerId !== newCustomerId) {
    const known = await findCustomer(scope, customerId);
    const details = upgradeDetails(known.details);
    const isKnownPlace =
      place.street === "" ||
      details.serviceAddresses.some((each) => streetKey(each.place.street) === streetKey(place.street));
    const serviceAddresses = isKnownPlace
      ? details.serviceAddresses
      : [...details.serviceAddresses, { ...address, access: noAccessNotes() }];
    if (!isKnownPlace || details.language !== language)
      await db.transaction(async (transaction) => {
        await known.update(
          { details: { ...details, serviceAddresses, language }, version: known.version + 1 },
          { transaction },
        );
        await indexCustomers(db, scope.businessId, [known.id], transaction);
      });
    return known.id;
  }
  const how = "Asked for a visit on the page";
  const body = customerBody.parse({
    id: newCustomerId,
    name: asked.name,
    phones: phone === null ? [] : [{ number: phone, extension: readPhone(asked.phone)?.extension, label: "Mobile" }],
    emails: email === null ? [] : [{ address: email }],
    textConsent: phone === null ? null : { given: asked.mayText, at, how },
    emailConsent: email === null ? null : { given: asked.mayMail, at, how },
    language,
    serviceAddresses: place.street === "" && place.town === "" ? [] : [address],
    foundUsBy: null,
    // Whoever agreed was shown who it may be.
    keepTwice: true,
  });
  const made = await db.transaction((transaction) => createCustomer(db, scope, body, transaction));
  return made.id;
}

/** The car it was agreed it is, the one kept under its plate or VIN, or a new one; null: nothing is known of it. */
async function carOf(
  { db }: CommandDeps,
  scope: Scope,
  { asked: { car }, vehicleId, newVehicleId }: KeptRequest,
  customerId: string,
): Promise<VehicleRow | null> {
  const { businessId } = scope;
  const named = await VehicleRow.findOne({ where: { businessId, id: vehicleId ?? newVehicleId } });
  const kept = named ?? (await keptCar(businessId, car));
  if (kept) return kept;
  const orNull = (value: string): string | null => (value === "" ? null : value);
  const read = vehicleBody.safeParse({
    id: newVehicleId,
    customerId,
    vin: orNull(car.vin),
    plate: car.region === "" ? null : orNull(car.plate),
    region: car.plate === "" ? null : orNull(car.region),
    year: car.year,
    make: orNull(car.make),
    model: orNull(car.model),
    ...{ trim: null, engine: null, drive: null, color: null },
  });
  if (!read.success) return null;
  await db.transaction((transaction) => createVehicle(db, scope, read.data, transaction));
  return VehicleRow.findOne({ where: { businessId, id: newVehicleId } });
}

/** The work order with its concerns and jobs, each job as it was done on this car before where it was. */
async function workOf(
  deps: CommandDeps,
  scope: Scope,
  { id, asked, workOrderId, takenAt }: KeptRequest,
  customerId: string,
  vehicle: VehicleRow | null,
): Promise<void> {
  const idOf = (name: string): string => uuidOf(name, id);
  const at = takenAt ?? new Date().toISOString();
  const { work } = await needsOfRequest(deps, scope.businessId, asked);
  const before = vehicle ? await statesOf(deps, scope.businessId, vehicle.id, workOrderId) : [];
  const facts = vehicle
    ? carFactsOf(vehicle, specLines(vehicle.specs ?? null, vehicle.corrections ?? []), DateTime.utc().year)
    : NO_FACTS;
  const concerns = work.concerns.map((concern, place) => ({ ...concern, id: idOf(`concern ${place}`) }));
  const opening: WorkOrderCommand[] = [
    { type: "openWorkOrder", customerId, vehicleId: vehicle?.id ?? null, concerns },
    ...work.jobs.map((job, place): WorkOrderCommand => {
      const last = jobBefore(before, job.id);
      const fit = {
        facts,
        positions: [...(last?.fit?.positions ?? usualPositions(job))],
        variantId: last?.fit?.variantId ?? null,
        isAfterHours: false,
      };
      return {
        type: "addJob",
        jobId: idOf(`job ${place}`),
        libraryJobId: job.id,
        lineIds: job.lines.map((_, line) => idOf(`job ${place} line ${line}`)),
        concernId: concernOf(job, concerns),
        pointIds: [],
        // What does not fit this car is for the quote to say.
        ...(fitJob(job, fit, laborGuide()).doesNotApply ? {} : { fit }),
      };
    }),
  ];
  const { after } = await runWorkOrderCommands(
    deps,
    scope,
    workOrderId,
    opening.map((command, place) => ({ id: idOf(`opening ${place}`), at, command })),
  );
  const { parts } = lastService(before);
  const asBefore = (after?.jobs ?? []).flatMap(({ lines }) =>
    lines.flatMap((line): WorkOrderCommand[] => {
      const used = line.kind === "part" ? otherPartLastTime(line, parts) : null;
      if (!used) return [];
      const { description, partNumber, brand } = used;
      return [{ type: "usePart", lineId: line.id, description, partNumber, brand }];
    }),
  );
  if (asBefore.length > 0)
    await runWorkOrderCommands(
      deps,
      scope,
      workOrderId,
      asBefore.map((command, place) => ({ id: idOf(`as before ${place}`), at, command })),
    );
}

/** The concern a job does something about: the one whose wish brought it. */
function concernOf(job: LibraryJob, concerns: readonly { id: string; phraseId: string | null }[]): string | null {
  return concerns.find(({ phraseId }) => phraseId !== null && job.answersConcerns.includes(phraseId))?.id ?? null;
}

/** The newest of a car's finished jobs that came from one of the library. */
function jobBefore(states: readonly WorkOrderState[], libraryJobId: string): Job | null {
  const done = states.flatMap(({ jobs }) =>
    jobs.filter((job) => job.libraryJobId === libraryJobId && job.finishedAt !== null),
  );
  return done.reduce<Job | null>(
    (last, job) => (last === null || (job.finishedAt ?? "") > (last.finishedAt ?? "") ? job : last),
    null,
  );
}

async function statesOf(
  { db }: CommandDeps,
  businessId: string,
  vehicleId: string,
  butNot: string,
): Promise<WorkOrderState[]> {
  const rows = await askPrepared<{ state: Readonly<Record<string, unknown>> }>(
    db,
    `select state from work_orders where business_id = $1 and vehicle_id = $2 and id <> $3
     order by opened_at desc limit ${MOST_STATES}`,
    [businessId, vehicleId, butNot],
  );
  return rows.map(({ state }) => upgradeWorkOrder(state));
}

async function visitOf(deps: CommandDeps, scope: Scope, request: KeptRequest): Promise<void> {
  const { id, asked, visitId, workOrderId, takenAt } = request;
  const { time, place, isThere, keyLies, terms, name } = asked;
  // The time is held for it. What stands against it all the same leaves the work order waiting for a time, where it is seen.
  await runVisitCommands(deps, scope, visitId, [
    {
      id: uuidOf("visit", id),
      at: takenAt ?? new Date().toISOString(),
      command: {
        type: "bookVisit",
        workOrderIds: [workOrderId],
        ...time,
        place,
        note: "",
        allowOverlap: false,
        arranged: {
          ...nothingArranged(),
          whoIsThere: isThere ? name : "",
          keyLies: isThere ? "" : keyLies,
          termsAcceptedAt: terms === "" ? null : request.at,
        },
        readyBy: null,
        anotherTripWhy: "",
        series: null,
      },
    },
  ]);
}
