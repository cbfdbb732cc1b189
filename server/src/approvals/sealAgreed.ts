import { randomBytes } from "node:crypto";
import {
  LANGUAGES,
  agreedByAnswer,
  agreedByTakingBack,
  seal,
  type SealedCopy,
  type ShownQuote,
  type WorkOrderCommand,
  type WorkOrderState,
} from "@mechanon/core";
import type { Run } from "../commands/aggregate";
import { askPrepared } from "../db/askPrepared";
import { photoChecksums } from "../photos/photoChecksums";

type Agreed = ReturnType<typeof agreedByAnswer>;

const SALT_BYTES = 16;

/** Freezes what an answer, or taking one back, agreed to, in the transaction that records it. */
export async function sealAgreed(
  run: Run,
  _before: WorkOrderState | null,
  after: WorkOrderState,
  command: WorkOrderCommand,
): Promise<void> {
  const agreed = await agreedBy(run, after, command);
  if (agreed) await append(run, agreed);
}

async function agreedBy(run: Run, after: WorkOrderState, command: WorkOrderCommand): Promise<Agreed | null> {
  const where = { workOrderId: run.id, language: LANGUAGES[0] };
  if (command.type === "recordAnswers" || command.type === "answerOnPage") {
    const at = after.approvals.find(({ id }) => id === command.approvalId)?.at;
    if (at === undefined) return null;
    const way = command.type === "answerOnPage" ? "page" : command.way;
    const shown = command.shown ? await withChecksums(run, command.shown) : null;
    return agreedByAnswer({ ...command, way }, shown, { ...where, at });
  }
  if (command.type === "takeBackOnPage") {
    const taken = after.takenBack?.find(({ id }) => id === command.takenBackId);
    return taken ? agreedByTakingBack(taken, { ...where, at: taken.at }) : null;
  }
  return null;
}

/** A phone without a signal does not know what its photos are kept as; the server does, once they are here. */
async function withChecksums({ deps, scope, transaction }: Run, shown: ShownQuote): Promise<ShownQuote> {
  const missing = shown.photos.filter(({ checksum }) => checksum === null).map(({ id }) => id);
  if (missing.length === 0) return shown;
  const known = await photoChecksums(deps.db, scope.businessId, missing, transaction);
  return {
    ...shown,
    photos: shown.photos.map((photo) => ({ ...photo, checksum: photo.checksum ?? known.get(photo.id) ?? null })),
  };
}

const LAST = `
  insert into agreed_chains (business_id, copies, link) values ($1, 0, '')
  on conflict (business_id) do update set copies = agreed_chains.copies returning copies as place, link`;
const APPEND = `
  with appended as (
    insert into agreed_copies (business_id, place, work_order_id, agreed_id, facts, person, photos, salts, digests, previous, link)
    values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) on conflict (business_id, agreed_id) do nothing returning place, link
  )
  update agreed_chains set copies = appended.place, link = appended.link from appended where business_id = $1`;

/** One at a time in a business: each waits here for the one before it. */
async function append({ deps, scope: { businessId }, id, transaction }: Run, agreed: Agreed): Promise<void> {
  const [last] = await askPrepared<Pick<SealedCopy, "place" | "link">>(deps.db, LAST, [businessId], transaction);
  const salt = (): string => randomBytes(SALT_BYTES).toString("hex");
  const copy = seal(agreed, last ?? null, { facts: salt(), person: salt(), photos: salt() });
  const parts = [copy.facts, copy.person, copy.photos, copy.salts, copy.digests].map((part) => JSON.stringify(part));
  await askPrepared(
    deps.db,
    APPEND,
    [businessId, copy.place, id, agreed.facts.id, ...parts, copy.previous, copy.link],
    transaction,
  );
}
