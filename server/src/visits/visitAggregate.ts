import {
  Refusal,
  applyVisitCommand,
  upgradeVisit,
  type VisitCommand,
  type VisitRefusal,
  type VisitState,
} from "@mechanon/core";
import type { Aggregate, Run } from "../commands/aggregate";
import { NOBODY } from "../access/nobody";
import { askPrepared } from "../db/askPrepared";
import { letGo } from "../schedule/heldTimes";
import { isFresh, tellOfVisit, type VisitTelling } from "../messages/tellOfVisit";
import { OFFER_GAP_TASK } from "../schedule/moveAsks/offerGap";
import { refreshLists } from "../workOrders/refreshLists";

/** Visits, as the pipeline of commands sees them. */
export const visitAggregate: Aggregate<VisitState, VisitCommand, object> = {
  kind: "visit",
  upgrade: upgradeVisit,
  apply: applyVisitCommand,
  check: checkPlan,
  conflictsOf: () => [],
  // The constraint that keeps a mechanic's visits apart, whatever two of them are booked in one moment.
  refusalFor: (constraint) => (constraint === "visits_keep_apart" ? "visit/overlaps" : null),

  prepare: async (_run, command) => ({ command, context: {} }),

  async store({ deps, scope, id, transaction }, before, after, revision, records) {
    await askPrepared(
      deps.db,
      "select store_visit($1, $2, $3, $4, $5)",
      [
        scope.businessId,
        id,
        // The history knows by nobody what a customer did by themselves.
        scope.actor.id === NOBODY ? null : scope.actor.id,
        after && JSON.stringify({ state: after, revision }),
        JSON.stringify(records),
      ],
      transaction,
    );
    if (!after) return 0;
    // A work order that was left out waits for a time again.
    const served = [...new Set([...(before?.workOrderIds ?? []), ...after.workOrderIds])];
    await refreshLists(deps.db, scope.businessId, served, transaction);
    return 0;
  },

  async effects(run, before, after, command) {
    const isTimed = command.type === "bookVisit" || command.type === "moveVisit";
    const held = isTimed ? [after.id, ...after.workOrderIds] : [];
    const isTold = await tellOf(run, before, after, command, held);
    if (!isTold && held.length > 0) await letGo(run.deps.db, run.scope.businessId, held, run.transaction);
    if (before && (command.type === "cancelVisit" || command.type === "moveVisit")) await tellOfGap(run, before, after);
  },
};

const PLAN = `
  select
    (select count(*)::int from work_orders where business_id = $1 and id = any($2::uuid[])) as orders,
    exists (select from people where business_id = $1 and id = $3 and is_mechanic) as "isMechanic",
    exists (
      select from visits where business_id = $1 and mechanic_id = $3 and id <> $4
        and tstzrange(starts_at, ends_at) && tstzrange($5, $6)
        and not cancelled and left_at is null and state->>'leftAt' is null
    ) as "isBusy",
    exists (
      select from held_times where business_id = $1 and mechanic_id = $3 and person_id <> $7
        and held_for <> all($2::uuid[]) and held_for <> $4 and expires_at > now()
        and tstzrange(starts_at, ends_at) && tstzrange($5, $6)
    ) as "isHeld"`;

/** What only the server can see: that all a visit names is there, and that the mechanic is free. */
async function checkPlan(
  { deps, scope, id, transaction }: Run,
  state: VisitState,
  command: VisitCommand,
): Promise<void> {
  if (!isPlanned(command)) return;
  const { workOrderIds, mechanicId, startsAt, endsAt } = state;
  const [plan] = await askPrepared<{ orders: number; isMechanic: boolean; isBusy: boolean; isHeld: boolean }>(
    deps.db,
    PLAN,
    [scope.businessId, workOrderIds, mechanicId, id, startsAt, endsAt, scope.actor.id],
    transaction,
  );
  if (plan?.orders !== new Set(workOrderIds).size) throw new Refusal<VisitRefusal>("visit/no-work-order");
  if (!plan.isMechanic) throw new Refusal<VisitRefusal>("visit/no-mechanic");
  if (command.type === "takeAlong" || command.allowOverlap) return;
  if (plan.isBusy) throw new Refusal<VisitRefusal>("visit/overlaps");
  if (plan.isHeld) throw new Refusal<VisitRefusal>("visit/held");
}

type Planned = Extract<VisitCommand, { type: "bookVisit" | "moveVisit" | "reviveVisit" | "takeAlong" }>;

/** Whether a command says where somebody is when, or what for. */
function isPlanned(command: VisitCommand): command is Planned {
  return ["bookVisit", "moveVisit", "reviveVisit", "takeAlong"].includes(command.type);
}

/** A time that came free is told to those who would come earlier, by the queue. */
async function tellOfGap({ deps, scope, transaction }: Run, before: VisitState, after: VisitState): Promise<void> {
  const isFree =
    after.cancelledAt !== null || after.startsAt !== before.startsAt || after.mechanicId !== before.mechanicId;
  const { mechanicId, startsAt, endsAt } = before;
  if (deps.isQuiet || !isFree || before.cancelledAt !== null || startsAt <= new Date().toISOString()) return;
  await askPrepared(
    deps.db,
    `select queue_job('${OFFER_GAP_TASK}', json_build_object('businessId', $1::text, 'mechanicId', $2::text,
       'startsAt', $3::text, 'endsAt', $4::text))`,
    [scope.businessId, mechanicId, startsAt, endsAt],
    transaction,
  );
}

/** What a command means to whoever the visit is for; null: nothing they are told. */
function tellingOf(before: VisitState | null, after: VisitState, command: VisitCommand): VisitTelling | null {
  const now = new Date();
  const isToCome = after.startsAt > now.toISOString();
  switch (command.type) {
    case "bookVisit":
    case "reviveVisit":
      return isToCome ? { kind: "booked" } : null;
    case "moveVisit":
      return isToCome && (before?.startsAt !== after.startsAt || before.mechanicId !== after.mechanicId)
        ? { kind: "moved", key: `${after.id}/${after.startsAt}/${after.mechanicId}`, dropsAsking: true }
        : null;
    case "cancelVisit":
      return isToCome && !before?.cancelledAt ? { kind: "calledOff", dropsAsking: true } : null;
    case "setOff":
      // What waited on a phone for long tells nobody of a drive that is over.
      return !before?.setOffAt && isFresh(after.setOffAt ?? "", now, 1)
        ? { kind: "onMyWay", minutes: command.driveMinutes, dropsAsking: true }
        : null;
    case "leave":
      return !before?.leftAt && isFresh(after.leftAt ?? "", now, 12) ? { kind: "done" } : null;
    default:
      return null;
  }
}

/** @param letsGo - what times were held for that go with it. @returns Whether anything was told, and those let go. */
async function tellOf(
  { deps, scope, transaction, begun }: Run,
  before: VisitState | null,
  after: VisitState,
  command: VisitCommand,
  letsGo: readonly string[],
): Promise<boolean> {
  const telling = tellingOf(before, after, command);
  if (!telling || deps.isQuiet) return false;
  const settings = await deps.rules.settingsAt(scope.businessId, begun.settingsVersion, transaction);
  const rulesNow = { name: scope.businessName, settings };
  await tellOfVisit({ ...deps, rulesNow }, scope, after, { ...telling, letsGo }, transaction);
  return true;
}
