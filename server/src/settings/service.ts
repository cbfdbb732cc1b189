import type { BusinessSettings, ConcernPhrase, LibraryJob } from "@mechanon/core";
import { MOST_PHRASES } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";
import { Business, LibraryJobRow } from "../db/models";
import { AppError } from "../http/errors";

/** What commands are applied with: the settings and the whole job library, costs included. */
export async function loadRules(
  businessId: string,
  transaction?: Transaction,
): Promise<{ business: Business; library: LibraryJob[] }> {
  const [business, rows] = await Promise.all([
    Business.findByPk(businessId, { transaction, rejectOnEmpty: true }),
    LibraryJobRow.findAll({ where: { businessId }, order: ["position"], transaction }),
  ]);
  return { business, library: rows.map(({ job }) => job) };
}

/**
 * Changes part of the settings; the rest stays as it is.
 * @param change - what it becomes, from what it is; two at once take turns.
 */
export async function changeSettings(
  db: Sequelize,
  businessId: string,
  change: (settings: BusinessSettings) => Partial<BusinessSettings>,
): Promise<BusinessSettings> {
  return db.transaction(async (transaction) => {
    const business = await Business.findByPk(businessId, {
      lock: transaction.LOCK.UPDATE,
      transaction,
      rejectOnEmpty: true,
    });
    const settings = { ...business.settings, ...change(business.settings) };
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
  const { concerns } = await changeSettings(db, businessId, (settings) => {
    if (settings.concerns.some(same)) return {};
    if (settings.concerns.length >= MOST_PHRASES)
      throw new AppError(
        "phrase/too-many",
        `The library holds ${MOST_PHRASES} phrases already. The concern is kept on the work order; take phrases out that nobody picks.`,
      );
    return { concerns: [...settings.concerns, phrase] };
  });
  return concerns.find(same) ?? phrase;
}
