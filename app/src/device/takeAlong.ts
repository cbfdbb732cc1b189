import type { QueryClient } from "@tanstack/react-query";
import { routes, stampOf, type WorkOrderStamp } from "@mechanon/contract";
import { addressOf, call, fetchPhoto } from "../api/call";
import { carSheetKey } from "../cars/useCarSheet";
import { openWorkKey } from "../day/openWorkKey";
import { keepAnswer, keptAnswer } from "../offline/keptAnswers";
import { takeIn } from "../sync/views";
import { device, whenOpen } from "./device";
import { makeRoom } from "./makeRoom";

/** So many copies are asked about. */
const MOST_ASKED = 500;
/** A list of everything open that is older than this is asked for again, though nobody looks at it. */
const OPEN_WORK_STAYS_MS = 10 * 60_000;

/**
 * Takes along what today and tomorrow need when there is no signal, and catches up on what this device knows: asked for
 * by its copies' revisions, so that only what changed comes.
 *
 * @throws what `call` throws; what was taken along before stays.
 */
export async function takeAlong(queries: QueryClient): Promise<void> {
  const database = await whenOpen();
  if (!database) return;
  const kept = await database.views.orderBy("usedAt").reverse().limit(MOST_ASKED).toArray();
  const known: Record<string, WorkOrderStamp> = Object.fromEntries(kept.map(({ id, view }) => [id, stampOf(view)]));
  const askedAt = Date.now();
  const along = await call(routes.takeAlong, { body: { known } });
  // What was answered while this was on its way is newer.
  const tell = (key: readonly unknown[], answer: unknown): void => {
    if ((queries.getQueryState(key)?.dataUpdatedAt ?? 0) > askedAt) return;
    queries.setQueryData(key, answer);
    void keepAnswer(key, answer);
  };
  for (const day of along.days) tell(["day", day.date], day);
  for (const view of along.workOrders) await takeIn(view, new Date(askedAt).toISOString());
  for (const sheet of along.customers) tell(["customer", sheet.customer.id], sheet);
  for (const sheet of along.cars) tell(carSheetKey(sheet.vehicle.id), sheet);
  await takeOpenWorkAlong(queries);
  await makeRoom(database);
  for (const id of along.photoIds) await keepSmall(id);
}

/** Everything open, which is looked at without a signal, too, and stands on a screen of its own on a phone. */
async function takeOpenWorkAlong(queries: QueryClient): Promise<void> {
  const key = openWorkKey();
  const kept = await keptAnswer(key, routes.openWork.answer);
  const asOf = Math.max(queries.getQueryState(key)?.dataUpdatedAt ?? 0, kept ? Date.parse(kept.asOf) : 0);
  if (asOf > Date.now() - OPEN_WORK_STAYS_MS) return;
  const answer = await call(routes.openWork, { query: {} });
  await keepAnswer(key, answer);
  queries.setQueryData(key, answer);
}

/** A photo of somebody else's, small: seen without a signal, not studied. */
async function keepSmall(id: string): Promise<void> {
  const database = device();
  if (!database || (await database.photos.get(id))) return;
  const small = await fetchPhoto(addressOf("/api/photos/:id", { id }, { size: "small" }));
  if (!small) return;
  const now = new Date().toISOString();
  await database.photos.put({ id, blob: small, sentAt: now, refusal: null, usedAt: now });
}
