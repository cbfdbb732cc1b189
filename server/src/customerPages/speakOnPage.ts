import { upgradeDetails, type Language } from "@mechanon/core";
import { CustomerRow } from "../customers/model";
import { findCustomer } from "../customers/service";
import { askPrepared } from "../db/askPrepared";
import type { Deps } from "../scope";
import type { FoundPage } from "./findPage";

/** From now on a customer is spoken to in this language, wherever they are. */
export async function speakOnPage(
  { db }: Pick<Deps, "db">,
  { businessId, customerId, requestId }: FoundPage,
  language: Language,
): Promise<void> {
  if (requestId !== null)
    await askPrepared(
      db,
      "update requests set asked = jsonb_set(asked, '{language}', to_jsonb($3::text)) where business_id = $1 and id = $2",
      [businessId, requestId, language],
    );
  if (customerId === null) return;
  const { id } = await findCustomer({ businessId }, customerId);
  await db.transaction(async (transaction) => {
    const row = await CustomerRow.findOne({ where: { businessId, id }, transaction, lock: transaction.LOCK.UPDATE });
    const details = row && upgradeDetails(row.details);
    if (!row || details?.language === language) return;
    await row.update(
      { details: { ...upgradeDetails(row.details), language }, version: row.version + 1 },
      { transaction },
    );
  });
}
