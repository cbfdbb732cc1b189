import { readFileSync } from "node:fs";
import { Agent, request } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import autocannon from "autocannon";
import pg from "pg";
import { v7 as uuid } from "uuid";
import { connect } from "../db/connect";
import { defineModels } from "../models";
import { ofBusiness } from "../db/ofBusiness";
import { dropDatabase, makeDatabase, urlsOf } from "../testing/databases";
import { generatePeople, generateWork } from "./generate";
import { startProcess, type ServerProcess } from "./process";
import { readTicks, stolenPercent } from "./stolen";

/**
 * Times reads, commands and a start with a pending migration. Each figure stands beside its baseline of the same run: a
 * bare handler for the reads, an older checkout (`--beside FOLDER`, its packages installed) for the commands, a hundredth
 * of the data for the start; `--times` for the best times alone. Needs PG_ADMIN_URL; prints one JSON line per figure.
 */
const CUSTOMERS = 10_000;
const WORK_ORDERS = 100_000;
const CONNECTIONS = 10;
const ROUNDS = 5;
const ROUND_SECONDS = 3;
const COMMANDS = 150;
/** Not counted: both programs compile what they run often only after a while. */
const WARM_UP = 60;
const LIBRARY_COPIES = 100;
const VANS = 5;
const VISIT_DAYS = 14;
const VISITS_A_DAY = 8;
const ADMIN = process.env.PG_ADMIN_URL ?? "";
const SAMPLE = join(__dirname, "..", "testing", "samples", "before-ground.sql.gz");

async function main(): Promise<void> {
  if (ADMIN === "") throw new Error("PG_ADMIN_URL is not set; npm run bench -- server sets it");
  if (process.argv.includes("--times")) return benchTimes();
  const beside = process.argv[process.argv.indexOf("--beside") + 1];
  await benchCommands(process.argv.includes("--beside") ? beside : undefined);
  await benchReads();
  await benchTimes();
  await benchStart();
}

/** Commands with a small and a large library; the older code's beside them, in turn. */
async function benchCommands(beside: string | undefined): Promise<void> {
  const ours = await Served.open("server/src/main.ts");
  const older = beside === undefined ? null : await Served.open("server/src/main.ts", beside);
  for (const copies of [0, LIBRARY_COPIES]) {
    if (copies > 0) for (const each of [ours, older]) await each?.growLibrary(copies);
    const size = copies > 0 ? "1,414" : "14";
    for (const name of ["recordOdometer", "addJob"] as const) {
      const before = readTicks();
      const mine: number[] = [];
      const theirs: number[] = [];
      for (let run = -WARM_UP; run < COMMANDS; run++) {
        const [own, other] = [await ours.command(name), await older?.command(name)];
        if (run < 0) continue;
        mine.push(own);
        if (other !== undefined) theirs.push(other);
      }
      const figure = { figure: `${name}, ${size} library jobs`, ...spread(mine), unit: "ms" };
      const olderMedian = theirs.length > 0 ? spread(theirs).median : null;
      print({
        ...figure,
        olderMedian,
        ratioToOlder: olderMedian === null ? null : round(figure.median / olderMedian),
        stolenPercent: stolenPercent(before, readTicks()),
      });
    }
  }
  await ours.close();
  await older?.close();
}

/** Reads by ten connections against a bare handler, in turn; then one after the other for their p95. */
async function benchReads(): Promise<void> {
  const ours = await Served.open("server/src/main.ts");
  await ours.fill(CUSTOMERS, WORK_ORDERS);
  const bare = await startProcess("server/src/bench/bareServer.ts", { DATABASE_URL: ours.databaseUrl });
  const day = new Date(Date.now() - 30 * 86_400_000).toISOString().slice(0, 10);
  const paths = {
    "one work order": `/api/work-orders/${await ours.anOrder()}`,
    "the day": `/api/day?date=${day}`,
    "everything open": "/api/open-work",
  };
  for (const [name, path] of Object.entries(paths)) {
    const before = readTicks();
    const rounds: { ours: number; bare: number }[] = [];
    for (let at = 0; at < ROUNDS; at++)
      rounds.push({
        ours: await perSecond(ours.url + path, ours.cookie),
        bare: await perSecond(bare.url + path, ours.cookie),
      });
    const alone: number[] = [];
    for (let at = 0; at < 300; at++) alone.push(await ours.read(path));
    print({
      figure: `${name}, ${WORK_ORDERS.toLocaleString("en-US")} work orders`,
      unit: "requests a second, 10 connections",
      median: median(rounds.map((each) => each.ours)),
      bareMedian: median(rounds.map((each) => each.bare)),
      ratioToBare: round(median(rounds.map((each) => each.ours / each.bare))),
      aloneMs: spread(alone),
      stolenPercent: stolenPercent(before, readTicks()),
    });
  }
  await bare.stop();
  await ours.close();
}

/** The best times for a visit as they are asked for, held and all, beside a bare handler's answer. */
async function benchTimes(): Promise<void> {
  const ours = await Served.open("server/src/main.ts");
  const bare = await startProcess("server/src/bench/bareServer.ts", { DATABASE_URL: ours.databaseUrl });
  await ours.fillDays(VANS, VISIT_DAYS, VISITS_A_DAY);
  const before = readTicks();
  const [alone, bareAlone]: [number[], number[]] = [[], []];
  const ask = async (): Promise<number> => ours.askTimes(VISIT_DAYS);
  for (let run = -WARM_UP; run < COMMANDS; run++) {
    const [own, other] = [await ask(), await bareRead(bare.url)];
    if (run < 0) continue;
    alone.push(own);
    bareAlone.push(other);
  }
  print({
    figure: `best times, ${VANS} vans, ${VISIT_DAYS} days, ${VISITS_A_DAY} visits a day`,
    unit: "ms",
    ...spread(alone),
    bareMedian: spread(bareAlone).median,
    stolenPercent: stolenPercent(before, readTicks()),
  });
  await bare.stop();
  await ours.close();
}

async function bareRead(url: string): Promise<number> {
  const begun = performance.now();
  await (await fetch(`${url}/api/day?date=2026-11-25`)).text();
  return performance.now() - begun;
}

/** How late the server listens where every work order is of the version before, and stays so until after it listens. */
async function benchStart(): Promise<void> {
  const times: { small: number; large: number }[] = [];
  const before = readTicks();
  for (let at = 0; at < 3; at++) times.push({ small: await startOnOld(1000), large: await startOnOld(WORK_ORDERS) });
  print({
    figure: "start with a pending migration, 1,000 and 100,000 work orders",
    unit: "ms until it listens",
    small: median(times.map(({ small }) => small)),
    large: median(times.map(({ large }) => large)),
    ratio: round(median(times.map(({ small, large }) => large / small))),
    stolenPercent: stolenPercent(before, readTicks()),
  });
}

async function startOnOld(workOrders: number): Promise<number> {
  const name = await makeDatabase("bench");
  const client = new pg.Client({ connectionString: urlsOf(name).DATABASE_OWNER_URL });
  await client.connect();
  await client.query(
    gunzipSync(readFileSync(SAMPLE))
      .toString("utf8")
      .replace(/^\\.*$/gm, ""),
  );
  await client.query("set search_path to public");
  await client.query(
    `insert into work_orders (business_id, id, number, customer_id, vehicle_id, revision, state, waits_for, waits_since,
       total_cents, due_cents, open_conflicts, opened_at, later_count)
     select business_id, gen_random_uuid(), 5000 + n, customer_id, vehicle_id, revision, state, waits_for, waits_since,
       total_cents, due_cents, open_conflicts, opened_at, later_count
     from (select *, row_number() over (order by number) as place, count(*) over () as all_of from work_orders) w
     cross join lateral generate_series(w.place, $1::int, w.all_of) n`,
    [workOrders],
  );
  await client.query("vacuum analyze");
  await client.end();
  const running = await startProcess("server/src/main.ts", environment(urlsOf(name)));
  await running.stop();
  await dropDatabase(name);
  return running.startMs;
}

/** A server of its own on a database of its own, and a person signed in. */
class Served {
  cookie = "";
  private order = "";
  /** One caller looks again and again; others would take the days from each other. */
  private readonly call = uuid();

  private constructor(
    private readonly running: ServerProcess,
    private readonly name: string,
    /** As its owner sees it. */
    readonly databaseUrl: string,
  ) {}

  get url(): string {
    return this.running.url;
  }

  static async open(script: string, root?: string): Promise<Served> {
    const name = await makeDatabase("bench");
    // Code of before the roles asks as the superuser.
    const urls =
      root === undefined ? urlsOf(name) : { DATABASE_URL: `${ADMIN}/${name}`, DATABASE_OWNER_URL: `${ADMIN}/${name}` };
    const running = await startProcess(script, environment(urls), root);
    const served = new Served(running, name, urls.DATABASE_OWNER_URL);
    const answer = await fetch(`${running.url}/api/session`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ login: "odile", password: "lantern-7" }),
    });
    served.cookie = (answer.headers.get("set-cookie") ?? "").split(";")[0] ?? "";
    served.order = await served.anOrder();
    return served;
  }

  /** Milliseconds that a command takes to be answered. */
  async command(name: "recordOdometer" | "addJob"): Promise<number> {
    const command =
      name === "recordOdometer"
        ? { type: name, miles: 88_000 }
        : { type: name, jobId: uuid(), libraryJobId: "diagnosis", lineIds: [uuid()], concernId: null, pointIds: [] };
    const at = new Date().toISOString();
    const sent = await this.timed(`/api/work-orders/${this.order}/commands`, {
      commands: [{ id: uuid(), at, command }],
    });
    if (!sent.text.includes('"outcome":"applied"')) throw new Error(`not applied: ${sent.text.slice(0, 200)}`);
    // Taken off again untimed, so that the work order stays of one size.
    if (command.type === "addJob")
      await this.timed(`/api/work-orders/${this.order}/commands`, {
        commands: [{ id: uuid(), at, command: { type: "removeJob", jobId: command.jobId } }],
      });
    return sent.ms;
  }

  async read(path: string): Promise<number> {
    return (await this.timed(path)).ms;
  }

  async growLibrary(copies: number): Promise<void> {
    await this.query(
      `insert into library_jobs (business_id, id, position, job)
       select business_id, id || '-' || n, position + 100 * n, job || jsonb_build_object('id', id || '-' || n)
       from library_jobs cross join generate_series(1, ${copies}) n`,
    );
  }

  async fill(customers: number, workOrders: number): Promise<void> {
    const [owner] = await this.query<{ business_id: string; id: string }>("select * from people where login = 'odile'");
    if (!owner) throw new Error("the demo has its owner");
    const db = connect(this.databaseUrl);
    defineModels(db);
    await ofBusiness(owner.business_id, () => generatePeople(db, owner.business_id, customers));
    await db.close();
    const client = new pg.Client({ connectionString: this.databaseUrl });
    await client.connect();
    await generateWork(client, owner.business_id, owner.id, workOrders);
    // One of twenty open, of every kind.
    await client.query(
      `update work_orders set waits_for = (array['answer', 'parts', 'time', 'work', 'money'])[1 + number % 5]
       where number % 20 = 1`,
    );
    await client.query("vacuum analyze");
    await client.end();
  }

  /** Mechanics up to so many, each with visits along their days, all over the region. */
  async fillDays(vans: number, days: number, visitsADay: number): Promise<void> {
    await this.query(
      `insert into people (business_id, id, login, name, role, is_mechanic, rights, password_hash)
       select business_id, gen_random_uuid(), 'van-' || n, 'Van ' || n, role, true, rights, ''
       from people cross join generate_series(1, ${vans}) n where login = 'odile'`,
    );
    await this.query("update people set is_mechanic = login like 'van-%'");
    await this.query(
      `insert into visits (business_id, id, revision, mechanic_id, starts_at, ends_at, cancelled, state, overlap_allowed)
       select m.business_id, made.id, 1, m.id, made.starts_at, made.starts_at + interval '40 minutes', false,
         v.state || jsonb_build_object('id', made.id, 'mechanicId', m.id, 'startsAt', iso(made.starts_at),
           'endsAt', iso(made.starts_at + interval '40 minutes'), 'leftAt', null, 'arrivedAt', null, 'setOffAt', null,
           'place', v.state->'place' || jsonb_build_object('latitude', 48.0 + random() * 0.06, 'longitude', -122.64 + random() * 0.06)),
         false
       from people m cross join generate_series(1, ${days}) day cross join generate_series(0, ${visitsADay - 1}) slot
       cross join lateral (select gen_random_uuid() as id,
         date_trunc('day', now()) + make_interval(days => day, hours => 16, mins => slot * 65) as starts_at) made
       cross join lateral (select state from visits where business_id = m.business_id limit 1) v
       where m.login like 'van-%'`,
    );
  }

  /** Milliseconds that the best times take to be answered. */
  async askTimes(days: number): Promise<number> {
    const place = { latitude: 48.02 + Math.random() * 0.03, longitude: -122.62 + Math.random() * 0.03 };
    const wanted = { place, minutes: 30, mechanicId: null, movesVisitId: null, days, heldFor: this.call, hold: 3 };
    const { ms, text } = await this.timed("/api/offered-times", wanted);
    if (!text.includes("startsAt")) throw new Error(`no times: ${text.slice(0, 200)}`);
    return ms;
  }

  async anOrder(): Promise<string> {
    const [row] = await this.query<{ id: string }>(
      "select id from work_orders where jsonb_array_length(state->'jobs') > 0 and waits_for is not null order by number limit 1",
    );
    return row?.id ?? "";
  }

  async close(): Promise<void> {
    await this.running.stop();
    await dropDatabase(this.name);
  }

  private async timed(path: string, body?: object): Promise<{ ms: number; text: string }> {
    const from = performance.now();
    const text = await ask(this.url + path, this.cookie, body);
    return { ms: performance.now() - from, text };
  }

  private async query<Row extends pg.QueryResultRow>(sql: string): Promise<Row[]> {
    const client = new pg.Client({ connectionString: this.databaseUrl });
    await client.connect();
    const { rows } = await client.query<Row>(sql);
    await client.end();
    return rows;
  }
}

const agent = new Agent({ keepAlive: true });

/** Plain HTTP on one connection: what is measured is the server, not who asks it. */
function ask(url: string, cookie: string, body?: object): Promise<string> {
  return new Promise((resolve, reject) => {
    const headers = { Cookie: cookie, ...(body ? { "Content-Type": "application/json" } : {}) };
    const asked = request(url, { agent, headers, method: body ? "POST" : "GET" }, (answer) => {
      const chunks: Buffer[] = [];
      answer.on("data", (chunk: Buffer) => chunks.push(chunk));
      answer.once("end", () => resolve(Buffer.concat(chunks).toString("utf8")));
    });
    asked.once("error", reject);
    asked.end(body ? JSON.stringify(body) : undefined);
  });
}

function environment(urls: ReturnType<typeof urlsOf>): Record<string, string> {
  return {
    PORT: "0",
    ...urls,
    WEB_DIR: "/nonexistent",
    PHOTOS_FOLDER: join(tmpdir(), "mechanon-bench-photos"),
  };
}

async function perSecond(url: string, cookie: string): Promise<number> {
  const result = await autocannon({
    url,
    connections: CONNECTIONS,
    duration: ROUND_SECONDS,
    headers: { Cookie: cookie },
  });
  if (result.non2xx > 0 || result.errors > 0) throw new Error(`${url} failed ${result.non2xx + result.errors} times`);
  return result.requests.average;
}

function median(values: readonly number[]): number {
  return round([...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0);
}

function spread(values: readonly number[]): { median: number; p95: number; runs: number } {
  const sorted = [...values].sort((a, b) => a - b);
  return { median: median(values), p95: round(sorted[Math.floor(sorted.length * 0.95)] ?? 0), runs: values.length };
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}

function print(figure: object): void {
  process.stdout.write(`${JSON.stringify(figure)}\n`);
}

void main().then(
  () => process.exit(0),
  (error: unknown) => {
    process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
    process.exit(1);
  },
);
