import { readFileSync, readdirSync } from "node:fs";
import type { Page } from "playwright-core";
import type { Driver } from "./driver";

/** What a phone holds that is not at the server. */
export interface Unsent {
  /** In the order in which it was done. */
  acts: { id: string; kind: string; target: string; isRefused: boolean }[];
  photoIds: string[];
}

/** Until the app opens without the network, and the day was taken along. */
export async function takenAlong({ page }: Driver): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!(await caches.match("/index.html", { ignoreSearch: true })))
      await new Promise((done) => setTimeout(done, 100));
  });
  while ((await stored<unknown>(page, "views")).length < 3) await new Promise((done) => setTimeout(done, 100));
}

/** Reads what the phone's own database holds for the person it is of. */
export async function unsentOn(page: Page): Promise<Unsent> {
  const acts = await stored<{ id: string; kind: string; target: string; refusal?: object }>(page, "outbox");
  const photos = await stored<{ id: string; sentAt: string | null }>(page, "photos");
  return {
    acts: acts.map(({ id, kind, target, refusal }) => ({ id, kind, target, isRefused: refusal !== undefined })),
    photoIds: photos.filter(({ sentAt }) => sentAt === null).map(({ id }) => id),
  };
}

/** All rows of a store of the device's database, in the order of their keys; none where there is no database yet. */
async function stored<Row>(page: Page, store: string): Promise<Row[]> {
  const rows = await page.evaluate(async (name) => {
    const found = (await indexedDB.databases()).find((each) => each.name?.startsWith("mechanon-device-"));
    if (!found?.name) return [];
    const opening = indexedDB.open(found.name);
    return new Promise<unknown[]>((told, failed) => {
      opening.onerror = () => failed(new Error("the device's database does not open"));
      opening.onsuccess = () => {
        const reading = opening.result.transaction(name).objectStore(name).getAll();
        reading.onsuccess = () => {
          opening.result.close();
          // What cannot leave the page, as a photo's bytes, stays there.
          told(JSON.parse(JSON.stringify(reading.result)) as unknown[]);
        };
      };
    });
  }, store);
  return rows as Row[];
}

/** Kills every process that was started with this in its arguments, as a phone does that runs out of room. */
export function killProcesses(mark: string): void {
  for (const pid of readdirSync("/proc").filter((name) => /^\d+$/.test(name)))
    try {
      if (Number(pid) !== process.pid && readFileSync(`/proc/${pid}/cmdline`, "utf8").includes(mark))
        process.kill(Number(pid), "SIGKILL");
    } catch {
      // It ended by itself meanwhile.
    }
}
