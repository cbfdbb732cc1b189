import type { DeviceDatabase } from "./deviceDatabase";

/** What is kept beside what waits to be sent: the oldest beyond this goes. */
export const MOST_KEPT = { views: 300, answers: 400, photos: 400 };

/** Asked for seldom, and nothing works without: however old, they stay. */
const NEEDED: readonly string[] = [["business"], ["library"]].map((key) => JSON.stringify(key));

/** Lets go of the oldest copies; what is not sent is never among them. @returns how many went. */
export async function makeRoom(database: DeviceDatabase, most: typeof MOST_KEPT = MOST_KEPT): Promise<number> {
  const waiting = new Set((await database.outbox.toArray()).map(({ target }) => target));
  const views = await database.views.orderBy("usedAt").primaryKeys();
  const oldViews = views.slice(0, Math.max(0, views.length - most.views)).filter((id) => !waiting.has(id));
  const answers = (await database.answers.orderBy("asOf").primaryKeys()).filter((key) => !NEEDED.includes(key));
  const oldAnswers = answers.slice(0, Math.max(0, answers.length - most.answers));
  const photos = await database.photos.orderBy("usedAt").toArray();
  const oldPhotos = photos
    .slice(0, Math.max(0, photos.length - most.photos))
    .flatMap(({ id, sentAt }) => (sentAt === null ? [] : [id]));
  await database.views.bulkDelete(oldViews);
  await database.answers.bulkDelete(oldAnswers);
  await database.photos.bulkDelete(oldPhotos);
  return oldViews.length + oldAnswers.length + oldPhotos.length;
}
