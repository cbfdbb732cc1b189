import { LIST_LIMITS, libraryJob, type LibraryJob } from "@mechanon/core";
import type { Sequelize, Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { Business, LibraryChangeRow, LibraryJobRow } from "./model";

/** What a job of the library becomes; null: it is taken out. */
export interface LibraryWrite {
  id: string;
  after: LibraryJob | null;
}

/** So many changes are kept to be taken back. */
const MOST_CHANGES = 1000;

/**
 * Changes jobs of the library, each change on record with who made it. Those who change it take turns; new jobs come last.
 *
 * @param decide - what is to be written, from the library as it stands, in its order.
 * @returns what `decide` answered.
 * @throws {AppError} `list/too-long`; nothing was written then.
 */
export async function writeLibrary<Answer>(
  db: Sequelize,
  { businessId, actor }: Pick<Scope, "businessId" | "actor">,
  decide: (library: readonly LibraryJob[]) => { writes: readonly LibraryWrite[]; answer: Answer },
): Promise<Answer> {
  return db.transaction(async (transaction) => {
    await Business.findByPk(businessId, { transaction, lock: transaction.LOCK.UPDATE });
    const rows = await LibraryJobRow.findAll({ where: { businessId }, order: [["position", "ASC"]], transaction });
    const before = new Map(rows.map((row) => [row.id, libraryJob.parse(row.job)]));
    const { writes, answer } = decide([...before.values()]);
    const real = writes.filter(({ id, after }) => after !== null || before.has(id));
    requireRoom(before, real);
    let position = Math.max(-1, ...rows.map((row) => row.position));
    for (const { id, after } of real) {
      if (after === null) await LibraryJobRow.destroy({ where: { businessId, id }, transaction });
      else if (before.has(id)) await LibraryJobRow.update({ job: after }, { where: { businessId, id }, transaction });
    }
    const added = real.flatMap(({ id, after }) => (after !== null && !before.has(id) ? [after] : []));
    await LibraryJobRow.bulkCreate(
      added.map((job) => ({ businessId, id: job.id, position: (position += 1), job })),
      { transaction },
    );
    await LibraryChangeRow.bulkCreate(
      real.map(({ id, after }) => ({
        businessId,
        id: uuid(),
        personId: actor.id,
        jobId: id,
        before: before.get(id) ?? null,
        after,
      })),
      { transaction },
    );
    if (real.length > 0) await forgetOld(db, businessId, transaction);
    return answer;
  });
}

function requireRoom(before: ReadonlyMap<string, LibraryJob>, writes: readonly LibraryWrite[]): void {
  const ids = new Set(before.keys());
  for (const { id, after } of writes) {
    if (after === null) ids.delete(id);
    else ids.add(id);
  }
  if (ids.size > LIST_LIMITS.libraryJobs && ids.size > before.size)
    throw new AppError(
      "list/too-long",
      `The library holds ${LIST_LIMITS.libraryJobs} jobs at most. Nothing was changed; take jobs out that nobody uses.`,
    );
}

async function forgetOld(db: Sequelize, businessId: string, transaction: Transaction): Promise<void> {
  await db.query(
    `delete from library_changes where business_id = $1 and id in
       (select id from library_changes where business_id = $1 order by at desc, id desc offset $2)`,
    { bind: [businessId, MOST_CHANGES], transaction },
  );
}
