import { QueryTypes } from "sequelize";
import { loadDemo } from "../demo/loadDemo";
import type { TestServer } from "./testServer";

/** What tells rows of the other business apart, wherever they show. */
export const THEIRS = "Otherside";

/**
 * A second business on a test server's database, with people and work of its own: the demo once more, every name, phone
 * and plate of it told apart.
 *
 * @returns Its id, and the ids of all it has. Its people sign in as `odile-there`, `tomas-there`, `wren-there`.
 */
export async function addOtherBusiness({ db, running }: TestServer): Promise<{ id: string; ids: Set<string> }> {
  const [own] = await db.query<{ id: string }>("select id from businesses", { type: QueryTypes.SELECT });
  await db.query("update people set login = login || '-here'");
  await loadDemo(running.deps, new Date());
  const [other] = await db.query<{ id: string }>("select id from businesses where id <> $1", {
    bind: [own?.id],
    type: QueryTypes.SELECT,
  });
  const id = other?.id ?? "";
  const bind = [id];
  await db.query("update people set login = login || '-there' where business_id = $1", { bind });
  await db.query("update people set login = replace(login, '-here', '') where business_id <> $1", { bind });
  await db.query(`update people set name = '${THEIRS} ' || name where business_id = $1`, { bind });
  await db.query(`update businesses set name = '${THEIRS} ' || name, is_demo = false where id = $1`, { bind });
  await db.query(`update customers set name = '${THEIRS} ' || name where business_id = $1`, { bind });
  await db.query(`update vehicles set model = '${THEIRS} ' || model where business_id = $1`, { bind });
  const rows = await db.query<{ id: string }>(
    ["work_orders", "customers", "vehicles", "visits", "people", "messages"]
      .map((table) => `select id from ${table} where business_id = $1`)
      .join(" union all "),
    { bind, type: QueryTypes.SELECT },
  );
  return { id, ids: new Set([id, ...rows.map((row) => row.id)]) };
}
