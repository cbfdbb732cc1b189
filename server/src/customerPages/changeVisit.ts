import { changeUntil, type AskedTime, type VisitCommand, type VisitState } from "@mechanon/core";
import { AppError } from "../errors/appError";
import { timesForVisit } from "../schedule/timesForVisit";
import type { Deps } from "../scope";
import { runVisitCommands } from "../visits/service";
import { customersScope } from "./customersScope";
import type { FoundPage } from "./findPage";
import { shownVisit } from "./shown";

type VisitDeps = Pick<Deps, "db" | "rules" | "outside" | "config">;

const DAYS_LOOKED = 21;
const MOST_TIMES = 9;

/** A visit the page shows and the owner still lets its customer change. @throws {AppError} `page/too-late`. */
async function changeable(deps: VisitDeps, page: FoundPage, id: string): Promise<VisitState> {
  const { visit, isShared } = await shownVisit(deps.db, page, id);
  const { settings } = await deps.rules.now(page.businessId);
  if (isShared || changeUntil(visit, settings.requests.changeHours, new Date().toISOString()) === null)
    throw new AppError(
      "page/too-late",
      "It is too late to change this visit here. Nothing was changed; please call us.",
    );
  return visit;
}

/** Other times for a visit, as it is. */
export async function timesOfVisit(deps: VisitDeps, page: FoundPage, id: string): Promise<AskedTime[]> {
  const visit = await changeable(deps, page, id);
  const offers = await timesForVisit(deps, page.businessId, visit, { days: DAYS_LOOKED, mechanicId: null });
  return offers
    .filter(({ startsAt }) => startsAt !== visit.startsAt)
    .slice(0, MOST_TIMES)
    .map(({ mechanicId, startsAt, endsAt }) => ({ mechanicId, startsAt, endsAt }));
}

/** Moves a visit to a time that is offered for it. @throws {AppError} `ask/time-gone`, `page/too-late`. */
export async function moveOnPage(
  deps: VisitDeps,
  page: FoundPage,
  id: string,
  { commandId, time }: { commandId: string; time: AskedTime },
): Promise<void> {
  const { visit } = await shownVisit(deps.db, page, id);
  // Sent once more after the answer was lost.
  if (visit.startsAt === time.startsAt && visit.mechanicId === time.mechanicId) return;
  const offered = await timesOfVisit(deps, page, id);
  const isOffered = offered.some(
    ({ mechanicId, startsAt, endsAt }) =>
      mechanicId === time.mechanicId && startsAt === time.startsAt && endsAt === time.endsAt,
  );
  if (!isOffered) throw gone();
  await run(deps, page, id, commandId, { type: "moveVisit", ...time, allowOverlap: false });
}

/** Calls a visit off, for the customer. @throws {AppError} `page/too-late`. */
export async function callOffOnPage(
  deps: VisitDeps,
  page: FoundPage,
  id: string,
  { commandId, words }: { commandId: string; words: string },
): Promise<void> {
  const { visit } = await shownVisit(deps.db, page, id);
  if (visit.cancelledAt !== null) return;
  await changeable(deps, page, id);
  await run(deps, page, id, commandId, { type: "cancelVisit", why: "customer", words });
}

/** Whether they want to hear of an earlier time. */
export async function wantEarlierOnPage(
  deps: VisitDeps,
  page: FoundPage,
  id: string,
  { commandId, wants }: { commandId: string; wants: boolean },
): Promise<void> {
  await shownVisit(deps.db, page, id);
  await run(deps, page, id, commandId, { type: "wantEarlier", wants });
}

async function run(
  deps: VisitDeps,
  page: FoundPage,
  id: string,
  commandId: string,
  command: VisitCommand,
): Promise<void> {
  const { outcomes } = await runVisitCommands(deps, await customersScope(deps, page), id, [
    { id: commandId, at: new Date().toISOString(), command },
  ]);
  if (outcomes.some(({ outcome }) => outcome === "refused")) throw gone();
}

function gone(): AppError {
  return new AppError(
    "ask/time-gone",
    "This time was taken meanwhile, or the visit was changed. Nothing was changed; pick another.",
  );
}
