import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { Deps } from "../scope";
import { keepPhoto } from "./photos";

/** A piece of a photo. */
export interface PhotoPiece {
  id: string;
  /** Where in the photo it begins. */
  fromByte: number;
  /** How many bytes the whole photo has. */
  ofBytes: number;
  bytes: Buffer;
}

/** How many bytes of a photo are here, from its first on; of a whole one all. */
export async function arrivedBytes(db: Sequelize, businessId: string, id: string): Promise<number> {
  const [row] = await askPrepared<{ arrived: number }>(
    db,
    `select coalesce(
       (select coalesce(sent_size, size) from photos where business_id = $1 and id = $2),
       (select sum(length(bytes)) from photo_pieces where business_id = $1 and photo_id = $2), 0)::int as arrived`,
    [businessId, id],
  );
  return row?.arrived ?? 0;
}

/**
 * Adds a piece to a photo; the last one makes it whole. One that is here already, or does not follow on what is here,
 * changes nothing: whoever sends goes on from the answer.
 *
 * @returns how many bytes are here now.
 * @throws {AppError} `photo/unreadable` when the whole is no picture; its pieces are gone then.
 */
export async function addPiece(
  stores: Pick<Deps, "db" | "photos">,
  businessId: string,
  { id, fromByte, ofBytes, bytes }: PhotoPiece,
): Promise<number> {
  const { db } = stores;
  const before = await arrivedBytes(db, businessId, id);
  const end = fromByte + bytes.length;
  if (before >= ofBytes || fromByte !== before || end > ofBytes) return before;
  if (end < ofBytes) {
    await askPrepared(
      db,
      "insert into photo_pieces (business_id, photo_id, from_byte, bytes) values ($1, $2, $3, $4) on conflict do nothing",
      [businessId, id, fromByte, bytes],
    );
    return arrivedBytes(db, businessId, id);
  }
  // The last one is not kept by itself: until the whole is, whoever asks is told that something is missing.
  const whole = Buffer.concat([await wholeOf(db, businessId, id), bytes]);
  // Another sender of the same was faster.
  if (whole.length !== ofBytes) return arrivedBytes(db, businessId, id);
  await keepOr(
    () => keepPhoto(stores, businessId, { id, bytes: whole }),
    () => forgetPieces(db, businessId, id),
  );
  await forgetPieces(db, businessId, id);
  return ofBytes;
}

/** What is no picture is forgotten before it is told; where it could not be kept its pieces stay. */
async function keepOr(keep: () => Promise<void>, forget: () => Promise<void>): Promise<void> {
  try {
    await keep();
  } catch (error) {
    if (error instanceof AppError) await forget();
    throw error;
  }
}

async function forgetPieces(db: Sequelize, businessId: string, id: string): Promise<void> {
  await askPrepared(db, "delete from photo_pieces where business_id = $1 and photo_id = $2", [businessId, id]);
}

async function wholeOf(db: Sequelize, businessId: string, id: string): Promise<Buffer> {
  const pieces = await askPrepared<{ bytes: Buffer }>(
    db,
    "select bytes from photo_pieces where business_id = $1 and photo_id = $2 order by from_byte",
    [businessId, id],
  );
  return Buffer.concat(pieces.map(({ bytes }) => bytes));
}
