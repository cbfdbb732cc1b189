import { createHash } from "node:crypto";
import type { Sequelize, Transaction } from "sequelize";
import { sealArrived } from "../approvals/sealArrived";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { Deps } from "../scope";
import { photoKey, type PhotoStore } from "../photoStore/photoStore";
import { clipType, readMedia } from "./readMedia";

export const FORGET_PHOTOS_TASK = "forgetPhotos";

/** A photo with its bytes. */
export interface KeptPhoto {
  id: string;
  type: string;
  bytes: Buffer;
}
type Stores = Pick<Deps, "db" | "photos">;

/** Under which the small one of a photo is kept. */
const smallKey = (businessId: string, id: string): string => `${photoKey(businessId, id)}.small`;
const checksumOf = (bytes: Buffer): string => createHash("sha256").update(bytes).digest("hex");

/**
 * Keeps a photo or clip: its bytes first, then that it is there. Sent again under its id, the first one stays.
 * @throws {AppError} as `readMedia` does.
 */
export async function keepPhoto(
  { db, photos }: Stores,
  businessId: string,
  { id, bytes: sent }: Pick<KeptPhoto, "id" | "bytes">,
): Promise<void> {
  const known = await askPrepared(db, "select 1 from photos where business_id = $1 and id = $2", [businessId, id]);
  if (known.length > 0) return;
  const { type, bytes, small } = await readMedia(sent);
  await photos.put(photoKey(businessId, id), type, bytes);
  if (small) await photos.put(smallKey(businessId, id), "image/jpeg", small);
  const checksum = checksumOf(bytes);
  await db.transaction(async (transaction) => {
    const kept = await askPrepared(
      db,
      `insert into photos (business_id, id, type, size, bytes, sent_size, checksum, has_small)
       values ($1, $2, $3, $4, null, $5, $6, $7) on conflict do nothing returning id`,
      [businessId, id, type, bytes.length, sent.length, checksum, small !== null],
      transaction,
    );
    if (kept.length > 0) await sealArrived(db, businessId, { id, checksum }, transaction);
  });
}

interface PhotoRow {
  id: string;
  type: string;
  bytes: Buffer | null;
  checksum: string | null;
  hasSmall: boolean;
}
const COLUMNS = `id, type, bytes, checksum, has_small as "hasSmall"`;

/** Photos by their ids; those that are not here are left out. @throws {AppError} `photo/damaged`. */
export async function findPhotos(
  { db, photos }: Stores,
  businessId: string,
  ids: readonly string[],
): Promise<KeptPhoto[]> {
  const rows = await askPrepared<PhotoRow>(
    db,
    `select ${COLUMNS} from photos where business_id = $1 and id = any($2::uuid[]) order by id`,
    [businessId, ids],
  );
  const found = await Promise.all(
    rows.map(async ({ id, type, bytes, checksum }) => {
      // Those of before are in the database until they are moved.
      const kept = bytes ?? (await photos.get(photoKey(businessId, id)));
      if (!kept) return [];
      // Of before there were checksums nothing can be said.
      if (checksum !== null && checksum !== checksumOf(kept)) throw damaged();
      return [{ id, type, bytes: kept }];
    }),
  );
  return found.flat();
}

function damaged(): AppError {
  return new AppError(
    "photo/damaged",
    "The bytes of this photo are not those that were kept. It is not shown; put it back from a copy, or take it again.",
  );
}

/**
 * A photo for a list; one that was kept before there were small ones gets it now. A clip has none and comes whole.
 * @returns null where it is not here.
 */
export async function findSmallPhoto(stores: Stores, businessId: string, id: string): Promise<KeptPhoto | null> {
  const { db, photos } = stores;
  const [row] = await askPrepared<PhotoRow>(db, `select ${COLUMNS} from photos where business_id = $1 and id = $2`, [
    businessId,
    id,
  ]);
  if (!row) return null;
  const kept = row.hasSmall ? await photos.get(smallKey(businessId, id)) : null;
  if (kept) return { id, type: "image/jpeg", bytes: kept };
  const [whole] = await findPhotos(stores, businessId, [id]);
  if (!whole || clipType(whole.bytes)) return whole ?? null;
  const { small } = await readMedia(whole.bytes);
  if (!small) return whole;
  await photos.put(smallKey(businessId, id), "image/jpeg", small);
  await askPrepared(db, "update photos set has_small = true where business_id = $1 and id = $2", [businessId, id]);
  return { id, type: "image/jpeg", bytes: small };
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
      [businessId, gone.flatMap(({ id }) => [photoKey(businessId, id), smallKey(businessId, id)])],
      transaction,
    );
  return gone.length;
}

/** Lets go of bytes whose photos were taken away. */
export async function removeBytes(photos: PhotoStore, keys: readonly string[]): Promise<void> {
  for (const key of keys) await photos.remove(key);
}
