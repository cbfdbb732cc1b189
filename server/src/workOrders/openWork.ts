import { WAITS, type Wait } from "@mechanon/core";
import type { OpenWorkView, OpenWorkGroup } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";
import { toSummary, type SummaryRow } from "./summaries";

/** Work orders of one kind of waiting in the first page, which everybody loads. */
const FIRST_PAGE = 40;
/** In a later one, for whoever reads on. */
const LATER_PAGE = 200;

/** Pages are picked from the index before anything is joined to them; one more tells whether there is a next. */
const PAGES = `
  select wait.name as "waitsFor",
    (select count(*)::int from work_orders where business_id = $1 and waits_for = wait.name) as count,
    (select coalesce(json_agg(s.summary order by page.waits_since, page.id), '[]') from (
       select id, waits_since from work_orders
       where business_id = $1 and waits_for = wait.name and (waits_since, id) > ($3::timestamptz, $4::uuid)
       order by waits_since, id limit $5
     ) page join work_order_summaries s on s.business_id = $1 and s.id = page.id) as page
  from unnest($2::text[]) with ordinality as wait (name, place) order by wait.place`;

const FIRST = { since: "-infinity", id: "00000000-0000-0000-0000-000000000000" };

/**
 * Everything open by what it waits for, oldest first, truly counted: the first page of each kind, or a later one of one.
 *
 * @param after - the last work order of the page before.
 */
export async function openWork(
  db: Sequelize,
  { businessId }: Pick<Scope, "businessId">,
  waitsFor: Wait | null,
  after: { since: string; id: string } = FIRST,
): Promise<OpenWorkView> {
  const most = after === FIRST ? FIRST_PAGE : LATER_PAGE;
  const rows = await askPrepared<{ waitsFor: Wait; count: number; page: SummaryRow[] }>(db, PAGES, [
    businessId,
    waitsFor === null ? WAITS : [waitsFor],
    after.since,
    after.id,
    most + 1,
  ]);
  return {
    groups: rows.map(({ waitsFor: wait, count, page }): OpenWorkGroup => {
      const workOrders = page.slice(0, most).map(toSummary);
      const last = workOrders.at(-1);
      return {
        waitsFor: wait,
        count,
        workOrders,
        next: page.length > most && last ? { since: last.since, id: last.id } : null,
      };
    }),
  };
}
