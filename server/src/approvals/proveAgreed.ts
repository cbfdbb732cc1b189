import { linkFault, sealedCopy, upgradeWorkOrder, type LinkFault, type SealedCopy } from "@mechanon/core";
import pg from "pg";

/** What does not fit of what was agreed: the first broken link of a business's chain, or what stands beside it. */
export interface AgreedFault {
  businessId: string;
  /** Of the copy that does not prove; null: it is missing. */
  place: number | null;
  workOrderId: string | null;
  number: number | null;
  /** `end`: the chain is longer or shorter than it was. `state`, `ledger`: the work order or its ledger says another thing. `missing`: an answer has no copy. `photo`: its bytes are others. */
  fault: LinkFault | "unreadable" | "end" | "state" | "ledger" | "photo" | "missing";
}

const BATCH = 200;

interface Row extends Record<string, unknown> {
  place: number;
  workOrderId: string;
  number: number | null;
  state: Readonly<Record<string, unknown>> | null;
  ledger: { way: string; totalCents: number } | null;
  otherPhotos: number;
}

const COPIES = `
  select c.place, c.work_order_id as "workOrderId", c.facts, c.person, c.photos, c.salts, c.digests, c.previous, c.link,
    w.number, w.state,
    (select json_build_object('way', a.way, 'totalCents', a.total_cents) from approvals a
       where a.business_id = c.business_id and a.work_order_id = c.work_order_id and a.id = c.agreed_id) as ledger,
    (select count(*)::int from jsonb_array_elements(coalesce(c.photos, '[]')) shown
       join photos p on p.business_id = c.business_id and p.id::text = shown->>'id'
       where shown->>'checksum' is not null and p.checksum is distinct from shown->>'checksum') as "otherPhotos"
  from agreed_copies c left join work_orders w on w.business_id = c.business_id and w.id = c.work_order_id
  where c.business_id = $1 and c.place > $2 order by c.place limit ${BATCH}`;

/** Answers of a work order that were given with what was shown, and have no copy. */
const WITHOUT = `
  select w.id as "workOrderId", w.number from work_orders w, jsonb_array_elements(w.state->'approvals') given
  where w.business_id = $1 and given ? 'shown'
    and not exists (select from agreed_copies c where c.business_id = $1 and c.agreed_id::text = given->>'id')
  order by w.number limit 1`;

/**
 * Proves the chains of what was agreed, each from its first copy to its last, and what stands beside them.
 *
 * @param tell - hears of the first that does not fit in each business.
 * @returns How many copies were proven, and in how many businesses something does not fit.
 */
export async function proveAgreed(
  databaseUrl: string,
  tell: (fault: AgreedFault) => void,
): Promise<{ copies: number; faults: number }> {
  const client = new pg.Client({ connectionString: databaseUrl, application_name: "mechanon-agreed" });
  await client.connect();
  try {
    // All of it as it is in one moment, while others go on.
    await client.query("begin isolation level repeatable read read only");
    const { rows } = await client.query<{ id: string }>("select id from businesses order by id");
    let [copies, faults] = [0, 0];
    for (const { id } of rows) {
      const proven = await proveChain(client, id);
      copies += proven.copies;
      if (proven.fault === null) continue;
      faults += 1;
      tell({ businessId: id, ...proven.fault });
    }
    return { copies, faults };
  } finally {
    await client.end();
  }
}

type Found = Omit<AgreedFault, "businessId">;

async function proveChain(client: pg.Client, businessId: string): Promise<{ copies: number; fault: Found | null }> {
  let last: Pick<SealedCopy, "place" | "link"> | null = null;
  let copies = 0;
  for (;;) {
    const rows: Row[] = await nextCopies(client, businessId, last?.place ?? 0);
    for (const row of rows) {
      const copy = sealedCopy.safeParse(row);
      const { place, workOrderId, number } = row;
      const fault = copy.success ? (linkFault(copy.data, last) ?? besideFault(copy.data, row)) : "unreadable";
      if (fault !== null) return { copies, fault: { place, workOrderId, number, fault } };
      if (copy.success) last = { place, link: copy.data.link };
      copies += 1;
    }
    if (rows.length < BATCH) break;
  }
  const { rows: ends } = await client.query<{ copies: number; link: string }>(
    "select copies, link from agreed_chains where business_id = $1",
    [businessId],
  );
  const end = ends[0] ?? { copies: 0, link: "" };
  if (end.copies !== (last?.place ?? 0) || end.link !== (last?.link ?? ""))
    return { copies, fault: { place: end.copies, workOrderId: null, number: null, fault: "end" } };
  const { rows: without } = await client.query<{ workOrderId: string; number: number }>(WITHOUT, [businessId]);
  return { copies, fault: without[0] ? { place: null, ...without[0], fault: "missing" } : null };
}

async function nextCopies(client: pg.Client, businessId: string, after: number): Promise<Row[]> {
  return (await client.query<Row>(COPIES, [businessId, after])).rows;
}

/** What the work order, its ledger or the photos say otherwise than a copy that proves. */
function besideFault({ facts, person }: SealedCopy, row: Row): "state" | "ledger" | "photo" | null {
  if (row.state === null) return null;
  if (row.otherPhotos > 0) return "photo";
  const state = upgradeWorkOrder(row.state);
  if (facts.of === "photo") return state.approvals.some(({ id }) => id === facts.completes) ? null : "state";
  if (facts.of === "takenBack") {
    const taken = state.takenBack?.find(({ id }) => id === facts.id);
    return taken?.costCents === facts.totalCents ? null : "state";
  }
  const given = state.approvals.find(({ id }) => id === facts.id);
  const says = (answers: readonly { jobId: string; answer: string | null }[]): string =>
    JSON.stringify(answers.map(({ jobId, answer }) => [jobId, answer]));
  if (given?.totalCents !== facts.totalCents || given.way !== facts.way || says(given.answers) !== says(facts.answers))
    return "state";
  if (person !== null && person.name !== given.name) return "state";
  return row.ledger?.way === facts.way && Number(row.ledger.totalCents) === facts.totalCents ? null : "ledger";
}
