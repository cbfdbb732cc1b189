import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import type { Pending } from "../sync/pending";
import { upgradePending } from "../sync/upgradePending";
import type { DeviceDatabase, KeptPhoto, Sealed } from "./deviceDatabase";

const KEY_ID = "seal";
const IV_BYTES = 12;

/**
 * Keeps the person's key at hand while they are signed in, so that signing out without a signal can seal, too. It cannot
 * be read out of the browser, and goes with the sign-out.
 */
export async function keepKey(database: DeviceDatabase): Promise<void> {
  if ((await database.keys.get(KEY_ID)) || !hasCrypto()) return;
  await database.keys.put({ id: KEY_ID, key: await fetchKey() });
}

/**
 * Leaves nothing on the device but what could not be sent, sealed for its person alone; all else goes.
 * @returns how many acts and photos stay behind.
 */
export async function sealDevice(database: DeviceDatabase): Promise<number> {
  const outbox = await database.outbox.orderBy("seq").toArray();
  const photos = (await database.photos.toArray()).filter(({ sentAt }) => sentAt === null);
  const key = (await database.keys.get(KEY_ID))?.key;
  const left = outbox.length + photos.length;
  const sealed = key ? await sealAll(outbox, photos, key) : null;
  await database.transaction("rw", database.tables, async () => {
    await Promise.all([database.views.clear(), database.answers.clear(), database.keys.clear()]);
    if (!sealed) {
      // A browser without ciphers (an insecure address): it stays in the person's own database as it is.
      await database.photos
        .where("id")
        .noneOf(photos.map(({ id }) => id))
        .delete();
      return;
    }
    await Promise.all([database.outbox.clear(), database.photos.clear()]);
    await database.sealed.bulkAdd(sealed);
  });
  return left;
}

/** Puts back in line what was sealed at an earlier sign-out. @throws what `call` throws. */
export async function unsealDevice(database: DeviceDatabase): Promise<void> {
  const all = await database.sealed.orderBy("id").toArray();
  if (all.length === 0) return;
  const key = await fetchKey();
  for (const { id, photo, iv, bytes } of all) {
    const plain = await crypto.subtle.decrypt({ name: "AES-GCM", iv }, key, bytes);
    await database.transaction("rw", [database.outbox, database.photos, database.sealed], async () => {
      if (photo) await database.photos.put(toPhoto(photo, plain));
      else await backInLine(database, plain);
      if (id !== undefined) await database.sealed.delete(id);
    });
  }
}

async function backInLine(database: DeviceDatabase, plain: ArrayBuffer): Promise<void> {
  // Written by `sealDevice` of this app or an earlier one.
  const acts = upgradePending(JSON.parse(new TextDecoder().decode(plain)) as Pending[]);
  const known = new Set((await database.outbox.toArray()).map((item) => item.id));
  await database.outbox.bulkAdd(acts.filter((item) => !known.has(item.id)).map(({ seq: _old, ...item }) => item));
}

function hasCrypto(): boolean {
  return typeof crypto !== "undefined" && "subtle" in crypto;
}

async function fetchKey(): Promise<CryptoKey> {
  const { key } = await call(routes.deviceKey, {});
  const bytes = Uint8Array.from(atob(key), (character) => character.charCodeAt(0));
  return crypto.subtle.importKey("raw", bytes, "AES-GCM", false, ["encrypt", "decrypt"]);
}

async function sealAll(acts: readonly Pending[], photos: readonly KeptPhoto[], key: CryptoKey): Promise<Sealed[]> {
  const line = new TextEncoder().encode(JSON.stringify(acts));
  return Promise.all([
    ...(acts.length > 0 ? [seal(null, line, key)] : []),
    ...photos.map(async ({ blob, ...photo }) => seal({ ...photo, type: blob.type }, await blob.arrayBuffer(), key)),
  ]);
}

async function seal(photo: Sealed["photo"], plain: BufferSource, key: CryptoKey): Promise<Sealed> {
  const iv = crypto.getRandomValues(new Uint8Array(IV_BYTES));
  return { photo, iv, bytes: await crypto.subtle.encrypt({ name: "AES-GCM", iv }, key, plain) };
}

function toPhoto({ type, ...photo }: NonNullable<Sealed["photo"]>, bytes: ArrayBuffer): KeptPhoto {
  return { ...photo, blob: new Blob([bytes], { type }) };
}
