import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";

/** A part line that a request to a supplier asks for. */
export interface RequestedLine {
  lineId: string;
  partNumber: string;
  quantity: number;
  costCents: number;
}

/** Something that left for the outside: reserved first, sent under its id, settled when it is known what became of it. */
export interface ExternalRequest {
  id: string;
  kind: "partsOrder" | "cardCharge";
  /** What the other side knows it by. */
  key: string;
  workOrderId: string;
  supplierId: string | null;
  amountCents: number | null;
  status: "asked" | "done" | "refused" | "lapsed";
  /** Who asked for it; it is recorded as theirs, whoever settles it. */
  personId: string;
  askedAt: string;
  lines: RequestedLine[];
}

/** What the other side will know a request by: ids of two businesses may be the same. */
export function keyOf(businessId: string, id: string): string {
  return `${businessId}/${id}`;
}

const FIND = `
  select r.id, r.kind, r.key, r.work_order_id as "workOrderId", r.supplier_id as "supplierId", r.amount_cents as "amountCents",
    r.status, r.person_id as "personId", iso(r.asked_at) as "askedAt",
    (select coalesce(json_agg(json_build_object('lineId', l.line_id, 'partNumber', l.part_number, 'quantity', l.quantity,
      'costCents', l.cost_cents) order by l.line_id), '[]')
     from external_request_lines l where l.business_id = r.business_id and l.request_id = r.id) as lines
  from external_requests r where r.business_id = $1 and r.id = $2`;

/** A request by its id; null for one nobody made. */
export async function findRequest(
  db: Sequelize,
  businessId: string,
  id: string,
  transaction?: Transaction,
): Promise<ExternalRequest | null> {
  const [row] = await askPrepared<ExternalRequest>(db, FIND, [businessId, id], transaction);
  return row ?? null;
}

const RESERVED = `
  select r.id, r.kind, r.amount_cents as "amountCents",
    array(select l.line_id from external_request_lines l where l.business_id = r.business_id and l.request_id = r.id) as "lineIds"
  from external_requests r where r.business_id = $1 and r.work_order_id = $2 and r.status = 'asked'`;

/** What of a work order is out and not settled. */
export function askedRequests(
  db: Sequelize,
  businessId: string,
  workOrderId: string,
  transaction: Transaction,
): Promise<{ id: string; kind: ExternalRequest["kind"]; amountCents: number | null; lineIds: string[] }[]> {
  return askPrepared(db, RESERVED, [businessId, workOrderId], transaction);
}
