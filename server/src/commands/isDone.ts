import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";

/** Whether a command was taken already: sent once more, it was answered, and the answer was lost. */
export async function isDone(db: Sequelize, businessId: string, commandId: string): Promise<boolean> {
  const known = await askPrepared(
    db,
    "select 1 from command_ids where business_id = $1 and id = $2 and outcome->>'outcome' = 'applied'",
    [businessId, commandId],
  );
  return known.length > 0;
}
