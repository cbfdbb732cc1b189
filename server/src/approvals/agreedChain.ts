import { randomBytes } from "node:crypto";
import { seal, type Agreed, type SealedCopy } from "@mechanon/core";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";

const SALT_BYTES = 16;

const LAST = `
  insert into agreed_chains (business_id, copies, link) values ($1, 0, '')
  on conflict (business_id) do update set copies = agreed_chains.copies returning copies as place, link`;
const APPEND = `
  with appended as (
    insert into agreed_copies (business_id, place, work_order_id, agreed_id, facts, person, photos, salts, digests, previous, link)
    values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) on conflict (business_id, agreed_id) do nothing returning place, link
  )
  update agreed_chains set copies = appended.place, link = appended.link from appended where business_id = $1`;

type End = Pick<SealedCopy, "place" | "link">;

/** Takes the chain of a business for this transaction: one at a time, each waits here for the one before it. */
export async function lockChain(
  db: Sequelize,
  { businessId }: Pick<Scope, "businessId">,
  transaction: Transaction,
): Promise<End | null> {
  const [last] = await askPrepared<End>(db, LAST, [businessId], transaction);
  return last ?? null;
}

/** Freezes what was agreed as the next copy of its business's chain; what is frozen under its id already stays as it is. */
export async function appendCopy(
  db: Sequelize,
  scope: Pick<Scope, "businessId">,
  agreed: Required<Agreed>,
  transaction: Transaction,
): Promise<void> {
  const last = await lockChain(db, scope, transaction);
  const salt = (): string => randomBytes(SALT_BYTES).toString("hex");
  const copy = seal(agreed, last, { facts: salt(), person: salt(), photos: salt() });
  const parts = [copy.facts, copy.person, copy.photos, copy.salts, copy.digests].map((part) => JSON.stringify(part));
  const { id, workOrderId } = agreed.facts;
  await askPrepared(
    db,
    APPEND,
    [scope.businessId, copy.place, workOrderId, id, ...parts, copy.previous, copy.link],
    transaction,
  );
}
