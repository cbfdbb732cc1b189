import type { routes } from "@mechanon/contract";
import { DateTime } from "luxon";
import { QueryTypes, type Sequelize } from "sequelize";
import type { z } from "zod";
import type { Scope } from "../scope";

const MOST = 6;
const MONTHS = 6;

/** The jobs that were put on quotes most often in the last half year, and those the person used last. */
export async function libraryUsage(
  db: Sequelize,
  { businessId, actor }: Pick<Scope, "businessId" | "actor">,
  now: Date,
): Promise<z.output<(typeof routes.libraryUsage)["answer"]>> {
  const since = DateTime.fromJSDate(now).minus({ months: MONTHS }).toJSDate();
  // Jobs that are in the library no more, and what was refused, say nothing.
  const from = `from history c join library_jobs l on l.business_id = c.business_id and l.id = c.body ->> 'libraryJobId'
    where c.business_id = $1 and c.recorded_at >= $2 and c.body ->> 'type' = 'addJob' and c.outcome ->> 'outcome' <> 'refused'`;
  const ask = (select: string, bind: unknown[]): Promise<{ id: string }[]> =>
    db.query<{ id: string }>(select, { bind, type: QueryTypes.SELECT });
  const [common, last] = await Promise.all([
    ask(`select l.id ${from} group by l.id order by count(*) desc, max(c.recorded_at) desc limit ${MOST}`, [
      businessId,
      since,
    ]),
    ask(`select l.id ${from} and c.person_id = $3 group by l.id order by max(c.recorded_at) desc limit ${MOST}`, [
      businessId,
      since,
      actor.id,
    ]),
  ]);
  return { common: common.map(({ id }) => id), last: last.map(({ id }) => id) };
}
