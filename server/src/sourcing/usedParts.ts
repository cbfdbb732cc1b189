import { hasRight } from "@mechanon/core";
import type { UsedPart } from "@mechanon/contract";
import { QueryTypes, type Sequelize } from "sequelize";
import type { Scope } from "../scope";

const MOST = 12;
/** So many work orders back: what was used longer ago costs something else by now. */
const MOST_ORDERS = 2000;

/**
 * Parts used before whose name has all the words, the newest first: by kind and place, at their last cost, without brand.
 * Who may not see cost is told none of them.
 */
export async function usedParts(db: Sequelize, { businessId, actor }: Scope, words: string): Promise<UsedPart[]> {
  if (!hasRight(actor, "seeCost")) return [];
  const patterns = words
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => `%${word.replaceAll(/[\\%_]/g, "\\$&")}%`);
  return db.query<UsedPart>(
    `select distinct on (lower(line->>'description'), positions)
       line->>'description' as description, coalesce(line->>'partKind', 'aftermarket') as "partKind", positions,
       (line->>'costCents')::int as "costCents", to_char(w.opened_at, 'YYYY-MM-DD') as day
     from (select state, opened_at from work_orders where business_id = $1 order by opened_at desc limit ${MOST_ORDERS}) w,
       jsonb_array_elements(w.state->'jobs') job,
       coalesce(array_to_string(array(select jsonb_array_elements_text(job->'fit'->'positions')), ','), '') positions,
       jsonb_array_elements(job->'lines') line
     where line->>'kind' = 'part' and jsonb_typeof(line->'costCents') = 'number' and not line ? 'isCustomers'
       and line->>'description' ilike all ($2::text[])
     order by lower(line->>'description'), positions, w.opened_at desc
     limit ${MOST}`,
    { bind: [businessId, patterns], type: QueryTypes.SELECT },
  );
}
