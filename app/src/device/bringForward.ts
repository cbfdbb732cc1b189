import { createStore, del, entries, get, set } from "idb-keyval";
import { upgradePending } from "../sync/upgradePending";
import type { Pending } from "../sync/pending";
import type { DeviceDatabase } from "./deviceDatabase";

const QUEUE_KEY = "pending";

/** What yesterday's app kept of the business, by its name in the browser's storage, and what it is called now. */
const KEPT = { "mechanon-kept-business": ["business"], "mechanon-kept-library": ["library"] };

/** Takes over all that yesterday's app kept for a person. */
export async function bringForward(database: DeviceDatabase, personId: string): Promise<void> {
  await bringAnswers(database);
  await bringQueue(database, personId);
}

async function bringAnswers(database: DeviceDatabase): Promise<void> {
  if (typeof localStorage === "undefined") return;
  for (const [name, key] of Object.entries(KEPT)) {
    const kept = localStorage.getItem(name);
    if (kept === null) continue;
    // As of no known time: the server is asked as soon as it can be.
    await database.answers.put({ key: JSON.stringify(key), answer: parsed(kept), asOf: new Date(0).toISOString() });
    localStorage.removeItem(name);
  }
}

/** @returns undefined for what was cut off by a full storage. */
function parsed(kept: string): unknown {
  try {
    return JSON.parse(kept);
  } catch {
    return undefined;
  }
}

/**
 * Takes over what yesterday's app kept in databases of its own, for all persons of the device: the queue of one person
 * and the photos it names. What is somebody else's stays until they sign in.
 */
async function bringQueue(database: DeviceDatabase, personId: string): Promise<void> {
  const queue = createStore("mechanon-queue", "queue");
  const kept = (await get<Pending[]>(QUEUE_KEY, queue)) ?? [];
  const mine = upgradePending(kept.filter(({ by }) => by === personId));
  if (mine.length === 0) return;
  const named = new Set(mine.flatMap((item) => (isAttach(item) ? [item.command.photoId] : [])));
  const photoStore = createStore("mechanon-photos", "photos");
  const photos = (await entries<string, Blob>(photoStore)).filter(([id]) => named.has(id));
  const usedAt = new Date().toISOString();
  await database.transaction("rw", database.outbox, database.photos, async () => {
    // Stopped between here and there, they are taken over again: the same ids are the same acts.
    const known = new Set(
      await database.outbox
        .where("id")
        .anyOf(mine.map(({ id }) => id))
        .keys(),
    );
    await database.outbox.bulkAdd(mine.filter(({ id }) => !known.has(id)));
    await database.photos.bulkPut(photos.map(([id, blob]) => ({ id, blob, sentAt: null, refusal: null, usedAt })));
  });
  await set(
    QUEUE_KEY,
    kept.filter(({ by }) => by !== personId),
    queue,
  );
  for (const [id] of photos) await del(id, photoStore);
}

type Attach = Pending & { kind: "workOrder"; command: { type: "attachPhoto"; photoId: string } };
function isAttach(item: Pending): item is Attach {
  return item.kind === "workOrder" && item.command.type === "attachPhoto";
}
