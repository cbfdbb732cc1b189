import { dayOf, isToCall, showVehicle, upgradeDetails, type CustomerDetails } from "@mechanon/core";
import type { QuoteToCall } from "@mechanon/contract";
import type { Vehicle } from "@mechanon/contract";
import { askPrepared } from "../db/askPrepared";
import type { Deps, Scope } from "../scope";
import { SENT_QUOTES } from "./tellNudges";

interface Sent {
  workOrderId: string;
  number: number;
  name: string;
  details: CustomerDetails;
  vehicle: Pick<Vehicle, "year" | "make" | "model" | "trim"> | null;
  totalCents: number;
  sentAt: string;
  againOn: string | null;
}

/** Quotes nobody answered though every reminder went out: whom to call, at which number, the longest unanswered first. */
export async function callList(
  { db, rules }: Pick<Deps, "db" | "rules">,
  scope: Scope,
  now: Date,
): Promise<QuoteToCall[]> {
  const { businessId } = scope;
  const { timeZone, settings } = await rules.now(businessId);
  const today = dayOf(now.toISOString(), timeZone);
  const { nudgeDays } = settings.messages;
  const sent = await askPrepared<Sent>(db, SENT_QUOTES, [businessId]);
  const putOff = await askPrepared<Sent & { putOff: string }>(db, PUT_OFF, [businessId, today]);
  const unanswered = sent
    .filter(({ sentAt, againOn }) => isToCall({ sentOn: dayOf(sentAt, timeZone), againOn }, nudgeDays, today))
    .map(({ workOrderId, number, name, details, vehicle, totalCents, sentAt }) => ({
      ...{ workOrderId, number, totalCents, sentAt },
      customerName: name,
      vehicleName: vehicle ? showVehicle(vehicle) : "",
      phone: upgradeDetails(details).phones[0]?.number ?? null,
      putOff: null,
    }));
  return [
    ...unanswered,
    ...putOff.map(({ workOrderId, number, name, details, vehicle, totalCents, sentAt, putOff: title }) => ({
      ...{ workOrderId, number, totalCents, sentAt, putOff: title },
      customerName: name,
      vehicleName: vehicle ? showVehicle(vehicle) : "",
      phone: upgradeDetails(details).phones[0]?.number ?? null,
    })),
  ];
}

/** Jobs that were put off until today or before, where no call put it off further. */
const PUT_OFF = `
  select w.id as "workOrderId", w.number, c.name, c.details, to_jsonb(v) as vehicle, job->>'title' as "putOff",
    (job->'answer'->>'totalCents')::int as "totalCents", job->'answer'->>'askOn' as "againOn",
    coalesce((select given->>'at' from jsonb_array_elements(w.state->'approvals') given
      where given->>'id' = job->'answer'->>'approvalId'), iso(w.opened_at)) as "sentAt"
  from work_orders w
  join customers c on c.business_id = w.business_id and c.id = w.customer_id and c.erased_at is null
  left join vehicles v on v.business_id = w.business_id and v.id = w.vehicle_id,
  jsonb_array_elements(w.state->'jobs') job
  where w.business_id = $1 and w.later_count > 0 and job->'answer'->>'value' = 'later' and job->'answer'->>'askOn' <= $2
    and coalesce(w.state->'calls'->-1->>'againOn', '') <= $2
  order by job->'answer'->>'askOn', w.number`;
