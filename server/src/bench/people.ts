import { importView, type ImportView } from "@mechanon/contract";
import { Agent, get } from "node:http";
import { Client } from "pg";
import { v7 as uuid } from "uuid";
import { readConfig } from "../config";
import { connect } from "../db/connect";
import { ofBusiness } from "../db/ofBusiness";
import { start, type Running } from "../start";
import { urlsOf } from "../testing/databases";
import { generatePeople, generateWork, odilesIds, type MadeUpCustomer } from "./generate";
import { Chance, madeUpNames } from "../testing/madeUp";
import { readTicks, stolenPercent } from "./stolen";

/** Times the search and the customer sheet on made-up data of two sizes. Needs PG_ADMIN_URL; prints a JSON line per figure. */

/** Customers; other sizes can be named on the command line. */
const SIZES = [10_000, 100_000];
const WORK_PER_CUSTOMER = 10;
const RUNS = 60;
/** Each is asked so often, and its median taken: neighbors on the machine take its cores for moments. */
const TIMES_EACH = 5;

type Ask = (customer: MadeUpCustomer, chance: Chance) => string;

const lastName = ({ name }: MadeUpCustomer): string => name.split(" ").at(-1) ?? name;
const firstName = ({ name }: MadeUpCustomer): string => name.split(" ")[0] ?? name;
const digits = ({ details }: MadeUpCustomer): string => details.phones[0]?.number.slice(1) ?? "";
const car = ({ cars }: MadeUpCustomer): MadeUpCustomer["cars"][number] => {
  const [first] = cars;
  if (!first) throw new Error("everybody has a car here");
  return first;
};
const street = ({ details }: MadeUpCustomer): string => details.serviceAddresses[0]?.place.street ?? "";
const swapped = (text: string, chance: Chance): string => {
  const at = 1 + chance.below(Math.max(1, text.length - 2));
  return text.slice(0, at) + (text[at + 1] ?? "") + (text[at] ?? "") + text.slice(at + 2);
};
const wrong = (text: string, chance: Chance): string => {
  const at = chance.below(text.length);
  return `${text.slice(0, at)}x${text.slice(at + 1)}`;
};

/** Every way to ask. */
const ASKS: Readonly<Record<string, Ask>> = {
  "two letters": (who) => lastName(who).slice(0, 2),
  "first letters of a name": (who) => lastName(who).slice(0, 4),
  "first name": firstName,
  "whole name": ({ name }) => name,
  "letters of both names": (who) => `${firstName(who).slice(0, 3)} ${lastName(who).slice(0, 3)}`,
  "part inside a name": (who) => lastName(who).slice(1),
  "swapped letters": (who, chance) => swapped(lastName(who), chance),
  "a wrong letter": (who, chance) => wrong(lastName(who), chance),
  "both names misspelled": (who, chance) => `${swapped(firstName(who), chance)} ${wrong(lastName(who), chance)}`,
  "a contact": (who) => who.details.contacts[0]?.name ?? who.name,
  "name and car": (who) => `${firstName(who)} ${car(who).make}`,
  "phone, formatted": (who) => digits(who).replace(/^1(\d{3})(\d{3})(\d{4})$/, "($1) $2-$3"),
  "phone, digits": digits,
  "phone, with a wrong digit": (who, chance) => wrong(digits(who).slice(1), chance).replace("x", "5"),
  "last four of a phone": (who) => digits(who).slice(-4),
  "area code": (who) => digits(who).slice(1, 4),
  plate: (who) => car(who).plate.replace(/0/g, "O"),
  "end of a plate": (who) => car(who).plate.slice(-4),
  "a wrong sign in a plate": (who, chance) => wrong(car(who).plate, chance),
  VIN: (who) => car(who).vin,
  "last six of a VIN": (who) => car(who).vin.slice(-6),
  "last eight of a VIN": (who) => car(who).vin.slice(-8),
  "a wrong sign in a VIN": (who, chance) => wrong(car(who).vin, chance),
  email: (who) => who.details.emails[0]?.address ?? "nobody@example.com",
  "house and street": street,
  street: (who) => street(who).split(" ").slice(1).join(" "),
  "work order number": (_, chance) => String(5001 + chance.below(90_000)),
  "a make": (who) => car(who).make,
  "name and town": (who) => `${lastName(who)} Larkhaven`,
  "nothing that is there": (_, chance) => `qqzv${chance.below(1000)}w`,
};

async function main(): Promise<void> {
  const admin = process.env.PG_ADMIN_URL;
  if (!admin) throw new Error("PG_ADMIN_URL is not set; npm run bench -- people sets it");
  const medians = new Map<string, number[]>();
  const asked = process.argv.slice(2).map(Number);
  for (const size of asked.length > 0 ? asked : SIZES) {
    const bench = await open(admin, size);
    for (const [name, ask] of Object.entries(ASKS)) {
      const chance = new Chance(11);
      const times: number[] = [];
      for (let run = 0; run < RUNS; run++)
        times.push(
          ...(await timedOften(bench, `/api/search?q=${encodeURIComponent(ask(chance.pick(bench.people), chance))}`)),
        );
      tell(`search, ${name}`, size, times);
      medians.set(name, [...(medians.get(name) ?? []), at(times, 0.5)]);
    }
    const chance = new Chance(12);
    const sheets: number[] = [];
    for (let run = 0; run < 300; run++)
      sheets.push(...(await timedOften(bench, `/api/customers/${chance.pick(bench.people).id}`)));
    tell("open a customer", size, sheets);
    const fleet = bench.people.find(({ cars }) => cars.length > 100);
    const fleets: number[] = [];
    for (let run = 0; fleet && run < 40; run++) fleets.push(...(await timedOften(bench, `/api/customers/${fleet.id}`)));
    tell("open a fleet of 200 cars", size, fleets);
    await benchImport(bench, size);
    await bench.running.stop();
  }
  for (const [name, [small, large]] of medians)
    if (small !== undefined && large !== undefined)
      print({ figure: `search, ${name}: 100,000 over 10,000`, unit: "ratio of medians", median: round(large / small) });
}

const IMPORT_ROWS = 50_000;

/** A file of fifty thousand rows: tried, brought in, while others go on searching. */
async function benchImport(bench: Bench, size: number): Promise<void> {
  const chance = new Chance(21);
  const [first, last] = [madeUpNames(chance, 900), madeUpNames(chance, 9000)];
  const lines = Array.from({ length: IMPORT_ROWS }, (_, index) =>
    [
      `${chance.pickCommon(first)} ${chance.pickCommon(last)}`,
      // Every tenth is kept already.
      index % 10 === 0 ? digits(chance.pick(bench.people)) : `+1907${2_000_000 + index * 13}`,
      `${index} ${chance.pick(last)} Road`,
      "Larkhaven",
      "WA",
      "98099",
      `X${String(index).padStart(6, "0")}`,
      "2014",
      "Honda",
      "Fit",
    ].join(","),
  );
  const csv = ["Name,Phone,Street,Town,State,Postcode,Plate,Year,Make,Model", ...lines].join("\n");
  const id = uuid();
  const during: number[] = [];
  const steps: [string, () => Promise<unknown>][] = [
    ["read", () => post(bench, `/api/imports/${id}?name=bench.csv`, csv)],
    [
      "try",
      async () =>
        post(bench, `/api/imports/${id}/check`, { mapping: (await importAt(bench, id)).mapping, doubles: "fill" }),
    ],
    ["bring in", () => post(bench, `/api/imports/${id}/run`, { rows: "all" })],
    ["take out again", () => post(bench, `/api/imports/${id}/undo`, {})],
  ];
  for (const [name, begin] of steps) {
    const started = performance.now();
    await begin();
    while (/ing$/.test((await importAt(bench, id)).status)) {
      during.push(await timed(bench, `/api/search?q=${encodeURIComponent(chance.pick(bench.people).name)}`));
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    const { status } = await importAt(bench, id);
    print({
      figure: `import of ${IMPORT_ROWS} rows, ${name}`,
      unit: "s",
      size,
      status,
      median: round((performance.now() - started) / 1000),
    });
  }
  tell("search by name while an import runs", size, during, 1);
}

async function post({ running, cookie }: Bench, path: string, body: unknown): Promise<void> {
  const isText = typeof body === "string";
  const response = await fetch(running.url + path, {
    method: "POST",
    headers: { Cookie: cookie, "Content-Type": isText ? "text/csv" : "application/json" },
    body: isText ? body : JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${path} answered ${response.status}: ${await response.text()}`);
}

async function importAt({ running, cookie }: Bench, id: string): Promise<ImportView> {
  const response = await fetch(`${running.url}/api/imports/${id}`, { headers: { Cookie: cookie } });
  return importView.parse(await response.json());
}

interface Bench {
  running: Running;
  people: MadeUpCustomer[];
  cookie: string;
}

/** A database with that many customers, and the server on it. */
async function open(admin: string, size: number): Promise<Bench> {
  const database = `bench_${size}`;
  const client = new Client({ connectionString: `${admin}/postgres` });
  await client.connect();
  await client.query(`drop database if exists ${database} with (force)`);
  await client.query(`create database ${database} owner mechanon_owner`);
  await client.end();
  const urls = urlsOf(database);
  const direct = new Client({ connectionString: urls.DATABASE_OWNER_URL });
  const running = await start(readConfig({ PORT: "0", ...urls, LOG_LEVEL: "error", WEB_DIR: "/nonexistent" }));
  const { db } = running.deps;
  const owner = connect(urls.DATABASE_OWNER_URL);
  const { businessId, personId } = await odilesIds(owner);
  await owner.close();
  const started = performance.now();
  const people = await ofBusiness(businessId, () => generatePeople(db, businessId, size));
  const made = performance.now();
  // On a connection of its own: the server's end a statement after twenty seconds.
  await direct.connect();
  await generateWork(direct, businessId, personId, size * WORK_PER_CUSTOMER);
  await direct.end();
  // What is written out later would be timed with the searches.
  const superuser = new Client({ connectionString: `${admin}/postgres` });
  await superuser.connect();
  await superuser.query("checkpoint");
  await superuser.end();
  print({ figure: "make the people", unit: "s", size, median: round((made - started) / 1000) });
  print({ figure: "make their work", unit: "s", size, median: round((performance.now() - made) / 1000) });
  const answer = await fetch(`${running.url}/api/session`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({ login: "odile", password: "lantern-7" }),
  });
  const bench = { running, people, cookie: (answer.headers.get("set-cookie") ?? "").split(";")[0] ?? "" };
  for (let warm = 0; warm < 100; warm++)
    await timed(bench, `/api/search?q=${encodeURIComponent(people[warm]?.name ?? "")}`);
  return bench;
}

const connection = new Agent({ keepAlive: true, maxSockets: 1 });

/** Milliseconds from asking to the whole answer, on one connection; asked plainly, since the asker shares the server's process. */
function timed({ running, cookie }: Bench, path: string): Promise<number> {
  const start = performance.now();
  return new Promise((resolve, reject) => {
    get(running.url + path, { agent: connection, headers: { Cookie: cookie } }, (response) => {
      if (response.statusCode !== 200) return reject(new Error(`${path} answered ${response.statusCode}`));
      response
        .on("end", () => resolve(performance.now() - start))
        .on("error", reject)
        .resume();
    }).on("error", reject);
  });
}

/** The same thing asked a few times. */
async function timedOften(bench: Bench, path: string): Promise<number[]> {
  const times: number[] = [];
  for (let time = 0; time < TIMES_EACH; time++) times.push(await timed(bench, path));
  return times;
}

/** Median and p95 of what was asked, each by its median; and the p95 of every single answer, which has the noise. */
function tell(figure: string, size: number, times: number[], each = TIMES_EACH): void {
  const medians = times.flatMap((_, index) => (index % each === 0 ? [at(times.slice(index, index + each), 0.5)] : []));
  if (medians.length > 0)
    print({
      figure,
      unit: "ms",
      size,
      median: at(medians, 0.5),
      p95: at(medians, 0.95),
      p95OfAll: at(times, 0.95),
      runs: times.length,
    });
}

function at(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return round(sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0);
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}

let ticks = readTicks();

/** A figure, with what neighbors on the machine took of it. */
function print(figure: object): void {
  const now = readTicks();
  process.stdout.write(`${JSON.stringify({ bench: "people", ...figure, stolenPercent: stolenPercent(ticks, now) })}\n`);
  ticks = now;
}

void main().then(
  () => process.exit(0),
  (error: unknown) => {
    process.stderr.write(`${String(error)}\n`);
    process.exit(1);
  },
);
