import type { LibraryJob, NewcomerSettings } from "@mechanon/core";
import type { Sequelize, Transaction } from "sequelize";
import { Business, LibraryJobRow } from "../db/models";

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

/** Changes what newcomers are asked; the rest of the settings stays as it is. */
export async function changeNewcomers(
  db: Sequelize,
  businessId: string,
  newcomers: NewcomerSettings,
): Promise<NewcomerSettings> {
  return db.transaction(async (transaction) => {
    const business = await Business.findByPk(businessId, {
      lock: transaction.LOCK.UPDATE,
      transaction,
      rejectOnEmpty: true,
    });
    await business.update({ settings: { ...business.settings, newcomers } }, { transaction });
    return newcomers;
  });
}
