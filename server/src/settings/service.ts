import { upgradeSettings, type BusinessSettings, type ConcernPhrase, type ListName } from "@mechanon/core";
import { MOST_PHRASES } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { Business } from "../db/models";
import { AppError } from "../http/errors";

/**
 * Changes a list of the settings and counts its version up; the rest stays as it is.
 *
 * @param from - the version it was made from; null where nothing of the list is left out by the change.
 * @param change - what it becomes, from what it is; null: it stays. Two at once take turns.
 * @throws {AppError} `version/changed` when somebody else changed the list meanwhile.
 */
export async function changeList(
  db: Sequelize,
  businessId: string,
  list: ListName,
  from: number | null,
  change: (settings: BusinessSettings) => Partial<BusinessSettings> | null,
): Promise<BusinessSettings> {
  return db.transaction(async (transaction) => {
    const business = await Business.findByPk(businessId, {
      lock: transaction.LOCK.UPDATE,
      transaction,
      rejectOnEmpty: true,
    });
    const before = upgradeSettings(business.settings);
    if (from !== null && from !== before.versions[list])
      throw new AppError(
        "version/changed",
        "Somebody else changed this list meanwhile. Nothing was saved, and what you typed is still here; take their changes in, then save again.",
      );
    const changes = change(before);
    if (changes === null) return before;
    const versions = { ...before.versions, [list]: before.versions[list] + 1 };
    const settings = { ...before, ...changes, versions };
    await business.update({ settings }, { transaction });
    return settings;
  });
}

/**
 * Keeps words as a phrase of the library, for all to pick; the same words again are answered as they are kept.
 * @throws {AppError} `phrase/too-many`.
 */
export async function keepPhrase(db: Sequelize, businessId: string, phrase: ConcernPhrase): Promise<ConcernPhrase> {
  const same = ({ id, text }: ConcernPhrase): boolean =>
    id === phrase.id || text.toLowerCase() === phrase.text.toLowerCase();
  const { concerns } = await changeList(db, businessId, "concerns", null, (settings) => {
    if (settings.concerns.some(same)) return null;
    if (settings.concerns.length >= MOST_PHRASES)
      throw new AppError(
        "phrase/too-many",
        `The library holds ${MOST_PHRASES} phrases already. The concern is kept on the work order; take phrases out that nobody picks.`,
      );
    return { concerns: [...settings.concerns, phrase] };
  });
  return concerns.find(same) ?? phrase;
}

/** Changes how long receipts can be opened by their links, those sent already included. */
export async function changeReceiptLinks(
  db: Sequelize,
  businessId: string,
  months: number,
): Promise<{ receiptLinkMonths: number }> {
  await askPrepared(
    db,
    "update businesses set settings = jsonb_set(settings, '{receiptLinkMonths}', to_jsonb($2::int)) where id = $1",
    [businessId, months],
  );
  return { receiptLinkMonths: months };
}
