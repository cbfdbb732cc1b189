import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";

/** SHA-256 of what is kept of photos, as hex, by their ids; those that are not here, or were kept before there were any, are left out. */
export async function photoChecksums(
  db: Sequelize,
  businessId: string,
  ids: readonly string[],
  transaction?: Transaction,
): Promise<Map<string, string>> {
  if (ids.length === 0) return new Map();
  const rows = await askPrepared<{ id: string; checksum: string }>(
    db,
    "select id, checksum from photos where business_id = $1 and id = any($2::uuid[]) and checksum is not null",
    [businessId, ids],
    transaction,
  );
  return new Map(rows.map(({ id, checksum }) => [id, checksum]));
}
