import { AppError } from "../../errors/appError";
import { askPrepared } from "../../db/askPrepared";
import type { CommandDeps } from "../../commands/aggregate";
import type { Scope } from "../../scope";
import { runVisitCommands } from "../../visits/service";
import { letGo } from "../heldTimes";
import { findMoveAsk } from "./findMoveAsk";

/**
 * Takes a customer's word on a new time: a yes moves the visit, and either lets the held time go. The same word again
 * changes nothing.
 * @param scope - of whoever took it; of a customer who answered themselves: of who asked.
 * @throws {AppError} `ask/not-found`; `ask/over` where the visit was moved or begun meanwhile, or the time is taken by now.
 */
export async function answerMoveAsk(deps: CommandDeps, scope: Scope, id: string, answer: "yes" | "no"): Promise<void> {
  const { db } = deps;
  const ask = await findMoveAsk(db, scope.businessId, id);
  if (ask.answer === answer) return;
  if (ask.isOver || ask.answer !== null) throw isOver();
  if (answer === "yes") {
    const { startsAt, endsAt, mechanicId } = ask;
    // The held time is theirs: it is let go for the visit that takes it.
    await letGo(db, scope.businessId, [id]);
    const moved = await runVisitCommands(deps, scope, ask.visitId, [
      {
        id,
        at: new Date().toISOString(),
        command: { type: "moveVisit", startsAt, endsAt, mechanicId, allowOverlap: false },
      },
    ]);
    if (moved.outcomes.some(({ outcome }) => outcome === "refused")) throw isOver();
  }
  await askPrepared(
    db,
    "update move_asks set answer = $3, answered_at = now() where business_id = $1 and id = $2 and answer is null",
    [scope.businessId, id, answer],
  );
  await letGo(db, scope.businessId, [id]);
}

function isOver(): AppError {
  return new AppError(
    "ask/over",
    "This visit was moved, begun or called off meanwhile, or the new time is taken by now. Nothing was changed; call to settle a time.",
  );
}
