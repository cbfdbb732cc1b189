import type { VisitRequest } from "@mechanon/contract";
import type { Transaction } from "sequelize";
import { NOBODY } from "../access/nobody";
import { askPrepared } from "../db/askPrepared";
import type { Deps, Scope } from "../scope";
import { needsOfRequest } from "./askTimes";
import { REQUEST_COLUMNS, type KeptRequest } from "./model";

/** As it is shown, with who has it and whether its time is free. */
interface Row extends KeptRequest {
  photoIds: string[];
  takenName: string | null;
  mechanicName: string | null;
  isTimeFree: boolean;
  isMade: boolean;
}

const SHOWN = `
  select ${REQUEST_COLUMNS}, taker.name as "takenName", comes.name as "mechanicName",
    array(select p.photo_id from customer_photos p where p.business_id = r.business_id and p.request_id = r.id
      order by p.arrived_at) as "photoIds",
    exists (select from work_orders w where w.business_id = r.business_id and w.id = r.work_order_id) as "isMade",
    not exists (
      select from visits v where v.business_id = r.business_id and v.id <> r.visit_id and not v.cancelled and v.left_at is null
        and v.mechanic_id = (r.asked->'time'->>'mechanicId')::uuid
        and tstzrange(v.starts_at, v.ends_at) && tstzrange((r.asked->'time'->>'startsAt')::timestamptz, (r.asked->'time'->>'endsAt')::timestamptz)
    ) and not exists (
      select from held_times h where h.business_id = r.business_id and h.held_for <> r.visit_id and h.expires_at > now()
        and h.mechanic_id = (r.asked->'time'->>'mechanicId')::uuid
        and tstzrange(h.starts_at, h.ends_at) && tstzrange((r.asked->'time'->>'startsAt')::timestamptz, (r.asked->'time'->>'endsAt')::timestamptz)
    ) and (r.asked->'time'->>'startsAt')::timestamptz > now() as "isTimeFree"
  from requests r
  left join people taker on taker.business_id = r.business_id and taker.id = r.taken_by
  left join people comes on comes.business_id = r.business_id and comes.id = (r.asked->'time'->>'mechanicId')::uuid`;

/** Requests that wait, the oldest first, then those of the last two weeks. */
export async function listRequests(deps: Pick<Deps, "db" | "rules">, scope: Scope): Promise<VisitRequest[]> {
  const rows = await askPrepared<Row>(
    deps.db,
    `${SHOWN} where r.business_id = $1 and (r.status in ('waiting', 'offered') or r.created_at > now() - interval '14 days')
     order by (r.status = 'waiting') desc, case when r.status = 'waiting' then r.created_at end, r.created_at desc limit 200`,
    [scope.businessId],
  );
  return Promise.all(rows.map((row) => shown(deps, scope, row)));
}

/** A request as it is shown. */
export async function showRequest(
  deps: Pick<Deps, "db" | "rules">,
  scope: Pick<Scope, "businessId">,
  id: string,
  transaction?: Transaction,
): Promise<VisitRequest | null> {
  const [row] = await askPrepared<Row>(
    deps.db,
    `${SHOWN} where r.business_id = $1 and r.id = $2`,
    [scope.businessId, id],
    transaction,
  );
  return row ? shown(deps, scope, row) : null;
}

async function shown(
  deps: Pick<Deps, "rules">,
  { businessId }: Pick<Scope, "businessId">,
  row: Row,
): Promise<VisitRequest> {
  const { photoIds: _named, ...asked } = row.asked;
  const { minutes, work } = await needsOfRequest(deps, businessId, asked);
  const { id, status, at, takenBy, takenName, takenAt, offered, words, photoIds, isTimeFree, mechanicName } = row;
  return {
    id,
    asked,
    photoIds,
    wishes: work.concerns.filter(({ text }) => text !== asked.words.trim()).map(({ text }) => text),
    status,
    at,
    takenBy: takenBy === null || takenBy === NOBODY ? null : { id: takenBy, name: takenName ?? "" },
    takenAt,
    offered,
    words,
    workOrderId: status === "agreed" && row.isMade ? row.workOrderId : null,
    mechanicName: mechanicName ?? "",
    isTimeFree,
    minutes,
  };
}
