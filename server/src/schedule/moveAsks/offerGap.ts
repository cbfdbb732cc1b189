import { randomBytes } from "node:crypto";
import {
  dayOf,
  minutesBetween,
  showDayIn,
  showTimeIn,
  upgradeDetails,
  upgradeVisit,
  type CustomerDetails,
  type TimeOffer,
  type VisitState,
} from "@mechanon/core";
import { DateTime } from "luxon";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import type { Transaction } from "sequelize";
import type { CommandDeps } from "../../commands/aggregate";
import { NOBODY } from "../../access/nobody";
import { askPrepared } from "../../db/askPrepared";
import { firstName } from "../../messages/compose";
import { tellCustomer } from "../../messages/tellCustomer";
import type { Deps } from "../../scope";
import { timesForVisit } from "../timesForVisit";

export const OFFER_GAP_TASK = "offerGap";
/** A time that came free. */
export const gapPayload = z.object({
  businessId: z.string(),
  mechanicId: z.string(),
  startsAt: z.string(),
  endsAt: z.string(),
});
type Gap = z.infer<typeof gapPayload>;

/** Of those who would come earlier so many hear of one gap. */
const MOST_ASKED = 10;
/** So long before it begins it is nobody's to take any more. */
const LEAST_NOTICE_MINUTES = 90;

/** Tells who would come earlier of a time that came free: the first yes gets it. Who was asked about it is not asked again. */
export async function offerGap(deps: CommandDeps & Pick<Deps, "outside">, gap: Gap, now: Date): Promise<void> {
  const { businessId, mechanicId, startsAt } = gap;
  const { timeZone } = await deps.rules.now(businessId);
  const days = Math.ceil(minutesBetween(now.toISOString(), gap.endsAt) / (24 * 60)) + 1;
  if (days < 1) return;
  for (const visit of await whoWouldCome(deps, gap)) {
    const offers = await timesForVisit(deps, businessId, visit, { days, mechanicId });
    // Where they would be slotted in on that day, once the gap is there.
    const offer = offers.find(
      (each) =>
        dayOf(each.startsAt, timeZone) === dayOf(startsAt, timeZone) &&
        each.startsAt < visit.startsAt &&
        overlaps(each, gap),
    );
    if (offer) await deps.db.transaction((transaction) => ask(deps, businessId, visit, offer, transaction));
  }
}

function overlaps(one: Pick<TimeOffer, "startsAt" | "endsAt">, other: Pick<Gap, "startsAt" | "endsAt">): boolean {
  return one.startsAt < other.endsAt && other.startsAt < one.endsAt;
}

async function whoWouldCome({ db }: CommandDeps, { businessId, endsAt }: Gap): Promise<VisitState[]> {
  const rows = await askPrepared<{ state: Readonly<Record<string, unknown>> }>(
    db,
    `select state from visits v where business_id = $1 and starts_at >= $2 and not cancelled and set_off_at is null
       and (state->>'wantsEarlier')::boolean and not (state->>'isLocked')::boolean
       and not exists (select from move_asks a where a.business_id = v.business_id and a.visit_id = v.id and a.answer is null
         and a.answer_by > now())
     order by starts_at limit ${MOST_ASKED}`,
    [businessId, endsAt],
  );
  return rows.map(({ state }) => upgradeVisit(state));
}

interface Whose {
  workOrderId: string;
  customerId: string;
  name: string;
  details: CustomerDetails;
  mechanic: string | null;
}

async function ask(
  deps: CommandDeps,
  businessId: string,
  visit: VisitState,
  offer: TimeOffer,
  transaction: Transaction,
): Promise<void> {
  const { db, config, rules } = deps;
  const { timeZone: zone } = await rules.now(businessId, transaction);
  const [whose] = await askPrepared<Whose>(
    db,
    `select w.id as "workOrderId", c.id as "customerId", c.name, c.details,
       (select name from people where business_id = $1 and id = $3) as mechanic
     from work_orders w join customers c on c.business_id = w.business_id and c.id = w.customer_id
     where w.business_id = $1 and w.id = any($2::uuid[]) and c.erased_at is null order by w.id limit 1`,
    [businessId, visit.workOrderIds, offer.mechanicId],
    transaction,
  );
  if (!whose) return;
  const { workOrderId, customerId, name, mechanic } = whose;
  const told = { name, ...upgradeDetails(whose.details) };
  const [id, token] = [uuid(), randomBytes(24).toString("base64url")];
  // One that ran out unanswered makes room.
  await askPrepared(
    db,
    "update move_asks set answer = 'no' where business_id = $1 and visit_id = $2 and answer is null and answer_by <= now()",
    [businessId, visit.id],
    transaction,
  );
  const until = DateTime.fromISO(offer.startsAt).minus({ minutes: LEAST_NOTICE_MINUTES }).toJSDate().toISOString();
  const kept = await askPrepared(
    db,
    `insert into move_asks (business_id, id, visit_id, starts_at, ends_at, mechanic_id, from_starts_at, asked_by, why,
       message, asked_at, sent_at, answer_by, for_gap)
     values ($1, $2, $3, $4, $5, $6, $7, '${NOBODY}', '', '', now(), now(), $8, true) on conflict do nothing returning id`,
    [businessId, id, visit.id, offer.startsAt, offer.endsAt, offer.mechanicId, visit.startsAt, until],
    transaction,
  );
  if (kept.length === 0) return;
  await askPrepared(
    db,
    "insert into directory.move_links (token, business_id, ask_id) values ($1, $2, $3)",
    [token, businessId, id],
    transaction,
  );
  const values = {
    mechanic: firstName(mechanic ?? ""),
    day: showDayIn(told.language, offer.startsAt, zone),
    time: showTimeIn(told.language, offer.startsAt, zone),
  };
  const about = { workOrderId, customerId, visitId: visit.id };
  const link = `${config.publicUrl}/t/${token}`;
  await tellCustomer(deps, { businessId }, { kind: "earlier", key: id, told, about, values, link }, transaction);
}
