import {
  dayOf,
  minuteOfDay,
  nudgeDue,
  showMoney,
  showVehicle,
  upgradeDetails,
  type CustomerDetails,
} from "@mechanon/core";
import type { Vehicle } from "@mechanon/contract";
import { askPrepared } from "../db/askPrepared";
import { ofBusiness } from "../db/ofBusiness";
import { tellCustomer, type TellDeps } from "./tellCustomer";

/** Nobody is reminded before or after these hours, in minutes from midnight. */
const FROM_MINUTE = 9 * 60;
const UNTIL_MINUTE = 18 * 60;

interface Unanswered {
  workOrderId: string;
  customerId: string;
  name: string;
  details: CustomerDetails;
  vehicle: Pick<Vehicle, "year" | "make" | "model" | "trim"> | null;
  totalCents: number;
  /** The message the quote was sent with last. */
  messageId: string;
  sentAt: string;
}

/** Quotes that were sent and wait for an answer, with when; a quote sent anew counts from then. */
export const SENT_QUOTES = `
  select w.id as "workOrderId", w.number, c.id as "customerId", c.name, c.details, to_jsonb(v) as vehicle,
    w.total_cents as "totalCents", sent.id as "messageId", iso(sent.created_at) as "sentAt",
    w.state->'calls'->-1->>'againOn' as "againOn"
  from work_orders w
  join customers c on c.business_id = w.business_id and c.id = w.customer_id and c.erased_at is null
  left join vehicles v on v.business_id = w.business_id and v.id = w.vehicle_id
  join lateral (
    select id, created_at from messages m
    where m.business_id = w.business_id and m.work_order_id = w.id and m.kind = 'quoted' and not m.is_incoming
      and m.status not in ('dropped', 'failed', 'asks')
    order by created_at desc limit 1
  ) sent on true
  where w.business_id = $1 and w.waits_for = 'answer'
  order by sent.created_at`;

/** Reminds customers of quotes they did not answer, by the owner's rhythm; each reminder once. */
export async function tellNudges(deps: TellDeps, businessId: string, now: Date): Promise<void> {
  await ofBusiness(businessId, async () => {
    const { timeZone, settings } = await deps.rules.now(businessId);
    const { nudgeDays } = settings.messages;
    const minute = minuteOfDay(now.toISOString(), timeZone);
    if (nudgeDays.length === 0 || minute < FROM_MINUTE || minute >= UNTIL_MINUTE) return;
    const today = dayOf(now.toISOString(), timeZone);
    for (const quote of await askPrepared<Unanswered>(deps.db, SENT_QUOTES, [businessId])) {
      const due = nudgeDue(dayOf(quote.sentAt, timeZone), nudgeDays, today);
      if (due === null) continue;
      const { workOrderId, customerId, name, details, vehicle, totalCents, messageId } = quote;
      await deps.db.transaction((transaction) =>
        tellCustomer(
          deps,
          { businessId },
          {
            kind: "nudge",
            key: `${messageId}/${due}`,
            told: { name, ...upgradeDetails(details) },
            about: { workOrderId, customerId },
            values: { car: vehicle ? showVehicle(vehicle) : "", amount: showMoney(totalCents) },
          },
          transaction,
        ),
      );
    }
  });
}
