import { sendPhoto } from "../photos/sendPhoto";
import { ApiProblem, errorWords } from "../api/problem";
import { device } from "../device/device";
import type { PhotoPlace } from "../device/deviceDatabase";
import { concernsAll } from "./concernsAll";
import { useSync } from "./state";
import { tellTabs } from "./tabs";

/** Photos that no database keeps, by id, with whose they are: the browser keeps nothing, or has no room. */
const inMemory = new Map<string, { by: string | null; blob: Blob; place: PhotoPlace }>();

/** Keeps a photo that was taken here until its bytes are at the server. */
export async function keepPhoto(id: string, blob: Blob, place: PhotoPlace): Promise<void> {
  inMemory.set(id, { by: useSync.getState().personId, blob, place });
  useSync.setState(({ photos }) => ({ photos: [...photos, { id, refusal: null, place }] }));
  try {
    const database = device();
    await database?.photos.put({ id, blob, place, sentAt: null, refusal: null, usedAt: new Date().toISOString() });
    if (database) inMemory.delete(id);
  } catch (error) {
    reportError(error);
    useSync.setState({ keeping: "full" });
  }
}

/** A photo of this device, sent or not; undefined: it is only at the server. */
export async function photoBlob(id: string): Promise<Blob | undefined> {
  return inMemory.get(id)?.blob ?? (await device()?.photos.get(id))?.blob;
}

/** Reads which photos wait, those of other tabs included. */
export async function readPhotos(): Promise<void> {
  const kept = (await device()?.photos.toArray()) ?? [];
  const { personId } = useSync.getState();
  const waiting = kept
    .filter(({ sentAt }) => sentAt === null)
    .map(({ id, refusal, place = null }) => ({ id, refusal, place }));
  const held = [...inMemory]
    .filter(([id, { by }]) => by === personId && !kept.some((photo) => photo.id === id))
    .map(([id, { place }]) => ({ id, refusal: null, place }));
  useSync.setState({ photos: [...waiting, ...held] });
}

/**
 * Sends the bytes of what waits, each photo for itself: one that is refused or fails holds up no other.
 * @returns false when one is to be tried again. @throws what concerns them all.
 */
export async function sendPhotos(personId: string): Promise<boolean> {
  let isWhole = true;
  for (const { id, refusal } of useSync.getState().photos) {
    if (useSync.getState().personId !== personId) return true;
    const blob = refusal === null ? await photoBlob(id) : undefined;
    if (!blob) continue;
    try {
      await sendPhoto(id, blob, (sentShare) => tellShare(id, sentShare));
      await mark(id, { sentAt: new Date().toISOString() });
    } catch (error) {
      if (!(error instanceof ApiProblem) || concernsAll(error)) throw error;
      if (error.problem.status >= 500) isWhole = false;
      else await mark(id, { refusal: errorWords(error) });
    }
  }
  return isWhole;
}

function tellShare(id: string, sentShare: number): void {
  useSync.setState(({ photos }) => ({
    photos: photos.map((photo) => (photo.id === id ? { ...photo, sentShare } : photo)),
  }));
}

/** Sends a refused photo again. */
export async function retryPhoto(id: string): Promise<void> {
  await mark(id, { refusal: null });
}

/** Drops this device's copy of a photo. */
export async function dropPhoto(id: string): Promise<void> {
  inMemory.delete(id);
  await device()?.photos.delete(id);
  await readPhotos();
  tellTabs({ kind: "photos" });
}

async function mark(id: string, change: { sentAt?: string; refusal?: string | null }): Promise<void> {
  if (change.sentAt !== undefined) inMemory.delete(id);
  await device()?.photos.update(id, change);
  useSync.setState(({ photos }) => ({
    photos:
      change.sentAt === undefined
        ? photos.map((photo) => (photo.id === id ? { ...photo, refusal: change.refusal ?? null } : photo))
        : photos.filter((photo) => photo.id !== id),
  }));
  tellTabs({ kind: "photos" });
}
