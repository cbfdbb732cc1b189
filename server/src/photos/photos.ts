import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Deps } from "../scope";
import { photoKey, type PhotoStore } from "../photoStore/photoStore";

export const FORGET_PHOTOS_TASK = "forgetPhotos";

/** A photo with its bytes. */
export interface KeptPhoto {
  id: string;
  type: string;
  bytes: Buffer;
}
type Stores = Pick<Deps, "db" | "photos">;

/** Keeps a photo: its bytes first, then that it is there. Sent again under its id, the first one stays. */
export async function keepPhoto({ db, photos }: Stores, businessId: string, photo: KeptPhoto): Promise<void> {
  const { id, type, bytes } = photo;
  const known = await askPrepared(db, "select 1 from photos where business_id = $1 and id = $2", [businessId, id]);
  if (known.length > 0) return;
  await photos.put(photoKey(businessId, id), type, bytes);
  await askPrepared(
    db,
    "insert into photos (business_id, id, type, size, bytes) values ($1, $2, $3, $4, null) on conflict do nothing",
    [businessId, id, type, bytes.length],
  );
}

/** Photos by their ids; those that are not here are left out. */
export async function findPhotos(
  { db, photos }: Stores,
  businessId: string,
  ids: readonly string[],
): Promise<KeptPhoto[]> {
  const rows = await askPrepared<{ id: string; type: string; bytes: Buffer | null }>(
    db,
    "select id, type, bytes from photos where business_id = $1 and id = any($2::uuid[]) order by id",
    [businessId, ids],
  );
  const found = await Promise.all(
    rows.map(async ({ id, type, bytes }) => {
      // Those of before are in the database until they are moved.
      const kept = bytes ?? (await photos.get(photoKey(businessId, id)));
      return kept ? [{ id, type, bytes: kept }] : [];
    }),
  );
  return found.flat();
}

/** Takes photos away, with the transaction they go in; their bytes follow once it is done. @returns How many. */
export async function forgetPhotos(
  db: Sequelize,
  businessId: string,
  ids: readonly string[],
  transaction: Transaction,
): Promise<number> {
  const gone = await askPrepared<{ id: string }>(
    db,
    "delete from photos where business_id = $1 and id = any($2::uuid[]) returning id",
    [businessId, ids],
    transaction,
  );
  if (gone.length > 0)
    await askPrepared(
      db,
      `select queue_job('${FORGET_PHOTOS_TASK}', json_build_object('businessId', $1::text, 'keys', $2::text[]))`,
      [businessId, gone.map(({ id }) => photoKey(businessId, id))],
      transaction,
    );
  return gone.length;
}

/** Lets go of bytes whose photos were taken away. */
export async function removeBytes(photos: PhotoStore, keys: readonly string[]): Promise<void> {
  for (const key of keys) await photos.remove(key);
}
