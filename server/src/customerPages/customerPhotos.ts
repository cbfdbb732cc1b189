import { MOST_PHOTOS } from "@mechanon/core";
import type { Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import { keepPhoto } from "../photos/photos";
import { readPicture } from "../photos/readPicture";
import type { Deps } from "../scope";

/** What a customer's photo is of. */
export interface PhotoOf {
  requestId: string | null;
  workOrderId: string | null;
}

/**
 * Keeps a photo a customer sent; the same id again changes nothing, and the first six of a thing are enough.
 * @throws {AppError} `photo/unreadable` for what is no picture; `request/id-taken` for the id of another photo.
 */
export async function keepCustomerPhoto(
  { db, photos }: Pick<Deps, "db" | "photos">,
  businessId: string,
  photo: { id: string; bytes: Buffer },
  { requestId, workOrderId }: PhotoOf,
  transaction?: Transaction,
): Promise<void> {
  readPicture(photo.bytes);
  const [before] = await askPrepared<{ isKept: boolean; isThis: boolean; count: number }>(
    db,
    `select exists (select from photos where business_id = $1 and id = $2) as "isKept",
       exists (select from customer_photos where business_id = $1 and photo_id = $2
         and request_id is not distinct from $3::uuid and work_order_id is not distinct from $4::uuid) as "isThis",
       (select count(*)::int from customer_photos where business_id = $1
         and request_id is not distinct from $3::uuid and work_order_id is not distinct from $4::uuid) as count`,
    [businessId, photo.id, requestId, workOrderId],
    transaction,
  );
  if (before?.isThis) return;
  // Whoever guesses the id of somebody else's photo must not see it as theirs.
  if (before?.isKept)
    throw new AppError("request/id-taken", "Another photo has this id. Nothing was kept; add the photo once more.");
  if ((before?.count ?? 0) >= MOST_PHOTOS)
    throw new AppError("page/photos-enough", `${MOST_PHOTOS} photos are here already. This one was not kept.`);
  await keepPhoto({ db, photos }, businessId, photo);
  await askPrepared(
    db,
    `insert into customer_photos (business_id, photo_id, request_id, work_order_id) values ($1, $2, $3, $4)
     on conflict do nothing`,
    [businessId, photo.id, requestId, workOrderId],
    transaction,
  );
}
