import type { LibraryJob } from "@mechanon/core";
import type { Transaction } from "sequelize";
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
