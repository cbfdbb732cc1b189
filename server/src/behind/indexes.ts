import type { BehindStep } from "./step";

/** Indexes of tables that may be large already: made without keeping anybody from writing. */
const INDEXES: Readonly<Record<string, string>> = {
  work_orders_open_by_wait: "on work_orders (business_id, waits_for, waits_since, id) where waits_for is not null",
  // Whether a mechanic is free, whatever else is booked on purpose.
  visits_busy:
    "on visits using gist (business_id, mechanic_id, tstzrange(starts_at, ends_at)) where not cancelled and left_at is null",
  messages_newest: "on messages (business_id, work_order_id, created_at)",
};

/** One after the other; one that was broken off half made is made anew. */
export const makeIndexes: BehindStep = {
  name: "0007-indexes",
  async run(client, at) {
    const done = Number(at.done ?? 0);
    const [name, definition] = Object.entries(INDEXES)[done] ?? [];
    if (name === undefined || definition === undefined) return null;
    const { rows } = await client.query<{ valid: boolean }>(
      "select indisvalid as valid from pg_index where indexrelid = to_regclass($1)",
      [name],
    );
    if (rows[0] && !rows[0].valid) await client.query(`drop index ${name}`);
    if (!rows[0]?.valid) await client.query(`create index concurrently ${name} ${definition}`);
    return { done: done + 1 };
  },
};

/** References that rows of before are checked for without keeping anybody from writing. */
const CONSTRAINTS: readonly { table: string; name: string; definition: string }[] = [
  {
    table: "messages",
    name: "messages_of_work_order",
    definition: "foreign key (business_id, work_order_id) references work_orders",
  },
  {
    table: "imports",
    name: "imports_by_person",
    definition: "foreign key (business_id, person_id) references people",
  },
  {
    table: "customer_merges",
    name: "customer_merges_by_person",
    definition: "foreign key (business_id, merged_by) references people",
  },
];

export const addConstraints: BehindStep = {
  name: "0007-constraints",
  async run(client, at) {
    const done = Number(at.done ?? 0);
    const next = CONSTRAINTS[done];
    if (!next) return null;
    const { table, name, definition } = next;
    const { rows } = await client.query("select 1 from pg_constraint where conname = $1", [name]);
    if (rows.length === 0) await client.query(`alter table ${table} add constraint ${name} ${definition} not valid`);
    await client.query(`alter table ${table} validate constraint ${name}`);
    return { done: done + 1 };
  },
};
