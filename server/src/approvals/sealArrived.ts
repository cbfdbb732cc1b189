import { agreedByPhoto, type Language } from "@mechanon/core";
import type { Sequelize, Transaction } from "sequelize";
import { v5 as uuidOf } from "uuid";
import { askPrepared } from "../db/askPrepared";
import { appendCopy, lockChain } from "./agreedChain";

/** Of ids of copies that complete others, which are made of what they complete: arrived twice, it is one. */
const NAMESPACE = "0b1f6f0e-8a54-4a5e-9b7c-3d0f5d8f2a61";

const SHOWN_WITHOUT = `
  select c.agreed_id as "agreedId", c.work_order_id as "workOrderId", c.facts->>'language' as language, shown->>'pointId' as "pointId"
  from agreed_copies c, jsonb_array_elements(c.photos) shown
  where c.business_id = $1 and c.photos @> jsonb_build_array(jsonb_build_object('id', $2::text, 'checksum', null))
    and shown->>'id' = $2::text and c.facts->>'of' = 'answer'
  order by c.place`;

interface Shown {
  agreedId: string;
  workOrderId: string;
  language: Language;
  pointId: string;
}

/**
 * Freezes the checksum of a photo that was shown with an answer on a phone without a signal, and arrives after it: a copy
 * of its own in the chain, in the transaction that keeps the photo.
 */
export async function sealArrived(
  db: Sequelize,
  businessId: string,
  { id, checksum }: { id: string; checksum: string },
  transaction: Transaction,
): Promise<void> {
  // An answer that is being recorded in this moment is waited for.
  await lockChain(db, { businessId }, transaction);
  const shown = await askPrepared<Shown>(db, SHOWN_WITHOUT, [businessId, id], transaction);
  const at = new Date().toISOString();
  for (const { agreedId, workOrderId, language, pointId } of shown)
    await appendCopy(
      db,
      { businessId },
      agreedByPhoto(uuidOf(`${agreedId}/${id}`, NAMESPACE), { id, pointId, checksum }, agreedId, {
        ...{ workOrderId, at, language },
      }),
      transaction,
    );
}
