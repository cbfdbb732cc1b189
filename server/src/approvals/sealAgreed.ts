import {
  LANGUAGES,
  agreedByAnswer,
  agreedByTakingBack,
  type ShownQuote,
  type WorkOrderCommand,
  type WorkOrderState,
} from "@mechanon/core";
import type { Run } from "../commands/aggregate";
import { appendCopy, lockChain } from "./agreedChain";
import { photoChecksums } from "../photos/photoChecksums";

type Agreed = ReturnType<typeof agreedByAnswer>;

/** Freezes what an answer, or taking one back, agreed to, in the transaction that records it. */
export async function sealAgreed(
  run: Run,
  _before: WorkOrderState | null,
  after: WorkOrderState,
  command: WorkOrderCommand,
): Promise<void> {
  const agreed = await agreedBy(run, after, command);
  if (agreed) await appendCopy(run.deps.db, run.scope, agreed, run.transaction);
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
  // One that arrives in this moment waits for this copy, or is here: it is in one or the other.
  await lockChain(deps.db, scope, transaction);
  const known = await photoChecksums(deps.db, scope.businessId, missing, transaction);
  return {
    ...shown,
    photos: shown.photos.map((photo) => ({ ...photo, checksum: photo.checksum ?? known.get(photo.id) ?? null })),
  };
}
