import {
  idOf,
  keptFromQuote,
  libraryJob,
  libraryJobFault,
  sameLibraryJob,
  upgradeWorkOrder,
  wholeOrderFromQuote,
  withChanges,
  type LibraryJob,
} from "@mechanon/core";
import type { LibraryChange, routes } from "@mechanon/contract";
import { QueryTypes, type Sequelize } from "sequelize";
import { v7 as uuid } from "uuid";
import type { z } from "zod";
import { AppError } from "../errors/appError";
import { laborGuide } from "../laborGuide/laborGuide";
import type { Scope } from "../scope";
import { findWorkOrder } from "../workOrders/service";
import { requireCost } from "./requireCost";
import { writeLibrary } from "./libraryWrites";
import { LibraryChangeRow } from "./model";

/**
 * Keeps a job of a work order in the library, last in its order, or all its jobs as a whole order. The same id again is answered as it is kept: the answer
 * may have been lost.
 * @throws {AppError} `work-order/not-found`, `library/no-such-job`, `library/does-not-fit`, `list/too-long`.
 */
export async function keepLibraryJob(
  db: Sequelize,
  scope: Scope,
  { workOrderId, jobId, ...keptAs }: z.output<(typeof routes.keepLibraryJob)["body"]>,
): Promise<LibraryJob> {
  const order = await findWorkOrder(scope, workOrderId);
  const { jobs } = upgradeWorkOrder(order.state);
  const job = jobs.find(({ id }) => id === jobId);
  if (jobs.length === 0 || (jobId !== null && !job))
    throw new AppError("library/no-such-job", "That job was taken off the quote meanwhile. Nothing was kept.");
  return writeLibrary(db, scope, (library) => {
    const before = library.find(({ id }) => id === keptAs.id);
    if (before) return { writes: [], answer: before };
    const template = library.find(({ id }) => id === job?.libraryJobId);
    const all = job
      ? [keptFromQuote(job, keptAs, template, laborGuide())]
      : wholeOrderFromQuote(jobs, keptAs, library, laborGuide(), uuid);
    const [answer] = all.slice(-1);
    const fault = answer && libraryJobFault(answer);
    if (!answer || fault)
      throw new AppError("library/does-not-fit", `That cannot be kept: ${fault ?? "it has no job"}. Nothing was kept.`);
    return { writes: all.map((after) => ({ id: after.id, after })), answer };
  });
}

/** Takes a job out of the library; one that is not there any more is no fault. */
export async function removeLibraryJob(db: Sequelize, scope: Scope, id: string): Promise<void> {
  await writeLibrary(db, scope, () => ({ writes: [{ id, after: null }], answer: null }));
}

/**
 * Changes jobs, each as a whole; of two owners at once each change of another job stands.
 * @throws {AppError} `rights/missing` for who may not see cost, `version/changed` when somebody else changed one of them
 *   meanwhile, `library/does-not-fit`, `list/too-long`.
 */
export async function changeLibraryJobs(
  db: Sequelize,
  scope: Scope,
  { changes }: z.output<(typeof routes.changeLibraryJobs)["body"]>,
): Promise<void> {
  requireCost(scope.actor);
  for (const { to } of changes) {
    const fault = to && libraryJobFault(to);
    if (fault) throw new AppError("library/does-not-fit", `That job cannot be kept: ${fault}. Nothing was saved.`);
  }
  await writeLibrary(db, scope, (library) => {
    if (withChanges(library, changes, idOf, false) === null)
      throw new AppError(
        "version/changed",
        "Somebody else changed the same job meanwhile. Nothing was saved, and what you typed is still here.",
      );
    const writes = changes.flatMap(({ from, to }) => {
      const id = to?.id ?? from?.id ?? "";
      return sameLibraryJob(to, library.find((job) => job.id === id) ?? null) ? [] : [{ id, after: to }];
    });
    return { writes, answer: null };
  });
}

const MOST_SHOWN = 50;

/** The last changes of the library, the newest first: who, when, which job. */
export async function libraryChanges(db: Sequelize, businessId: string): Promise<LibraryChange[]> {
  const rows = await db.query<{ id: string; at: Date; by: string | null; title: string; kind: LibraryChange["kind"] }>(
    `select c.id, c.at, p.name as by, coalesce(c.after, c.before) ->> 'title' as title,
       case when c.before is null then 'added' when c.after is null then 'removed' else 'changed' end as kind
     from library_changes c left join people p on p.business_id = c.business_id and p.id = c.person_id
     where c.business_id = $1 order by c.at desc, c.id desc limit ${MOST_SHOWN}`,
    { bind: [businessId], type: QueryTypes.SELECT },
  );
  return rows.map(({ at, by, ...row }) => ({ ...row, at: at.toISOString(), by: by ?? "" }));
}

/**
 * Takes a change back, which is a change of its own. Taken back already it stays so.
 * @throws {AppError} `library/no-such-change`, `version/changed` where the job was changed again since.
 */
export async function undoLibraryChange(db: Sequelize, scope: Scope, id: string): Promise<void> {
  const { businessId } = scope;
  const change = await LibraryChangeRow.findOne({ where: { businessId, id } });
  if (!change)
    throw new AppError("library/no-such-change", "That change is too long ago to be taken back. Nothing was changed.");
  const asOf = (stored: LibraryJob | null): LibraryJob | null => stored && libraryJob.parse(stored);
  const [before, after] = [asOf(change.before), asOf(change.after)];
  await writeLibrary(db, scope, (library) => {
    const now = library.find((job) => job.id === change.jobId) ?? null;
    if (sameLibraryJob(now, before)) return { writes: [], answer: null };
    if (!sameLibraryJob(now, after))
      throw new AppError(
        "version/changed",
        "That job was changed again since. Nothing was taken back; take the later change back first.",
      );
    return { writes: [{ id: change.jobId, after: before }], answer: null };
  });
}
