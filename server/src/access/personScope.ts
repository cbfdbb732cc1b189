import type { Right } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";

/** As whom something is done for a person who began it and is not asked any more. @throws {Error} for somebody who is not there. */
export async function personScope(db: Sequelize, businessId: string, personId: string): Promise<Scope> {
  const [row] = await askPrepared<{ name: string; rights: Right[]; time_zone: string; business: string }>(
    db,
    `select p.name, p.rights, b.time_zone, b.name as business from people p join businesses b on b.id = p.business_id
     where p.business_id = $1 and p.id = $2`,
    [businessId, personId],
  );
  if (!row) throw new Error(`a person who is not there: ${personId}`);
  const { name, rights, time_zone: timeZone, business: businessName } = row;
  return { businessId, businessName, timeZone, actor: { id: personId, name, rights } };
}
