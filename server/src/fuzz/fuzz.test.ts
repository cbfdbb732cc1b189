import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import { Chance } from "../testing/madeUp";
import { startTestServer, type TestPerson, type TestServer } from "../testing/testServer";
import { SchemaFuzz, type JsonSchema } from "./fromSchema";

const REQUESTS = Number(process.env.FUZZ_REQUESTS ?? 1000);
const SEED = Number(process.env.FUZZ_SEED ?? 12);

interface Operation {
  operationId: string;
  parameters?: { in: string; name: string; required?: boolean; schema: JsonSchema }[];
  requestBody?: { content: Record<string, { schema: JsonSchema }> };
}
interface OpenApi {
  paths: Record<string, Record<string, Operation>>;
  components: { schemas?: Record<string, JsonSchema> };
}

let server: TestServer;
let people: TestPerson[];
beforeAll(async () => {
  server = await startTestServer();
  people = [await server.signIn("odile"), await server.signIn("tomas"), await server.signIn("wren")];
});
afterAll(() => server?.stop());

it("answers whatever fits its own description, and much that does not, without failing once", async () => {
  const { body: document } = await server.stranger().get<OpenApi>("/api/openapi.json");
  // Signing in and out ends the sessions of those who ask; the stream does not end.
  const left = ["signOut", "signIn", "events", "endOwnSession"];
  const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).flatMap(([method, operation]) =>
      left.includes(operation.operationId) ? [] : [{ path, method: method.toUpperCase(), ...operation }],
    ),
  );
  expect(operations.length).toBeGreaterThan(60);
  const rows = await server.db.query<{ kind: string; id: string }>(
    `select 'work-orders' as kind, id from work_orders union all select 'customers', id from customers
     union all select 'vehicles', id from vehicles union all select 'visits', id from visits union all select 'people', id from people`,
    { type: QueryTypes.SELECT },
  );
  const idsOf = (kind: string): string[] => rows.flatMap((row) => (row.kind === kind ? [row.id] : []));
  const chance = new Chance(SEED);
  const fuzz = new SchemaFuzz(
    chance,
    document.components.schemas ?? {},
    rows.map(({ id }) => id),
  );
  const failed: string[] = [];
  const counts = new Map<number, number>();
  for (let request = 0; request < REQUESTS; request++) {
    const { path, method, operationId, parameters = [], requestBody } = chance.pick(operations);
    const part = (where: string): [string, string][] =>
      parameters
        .filter((each) => each.in === where && (each.required || fuzz.percent(50)))
        .map(({ name, schema }) => [name, asText(fuzz.value(schema))]);
    const params = Object.fromEntries(part("path"));
    const own = idsOf(path.split("/")[2] ?? "");
    if (own.length > 0 && fuzz.percent(85)) params.id = chance.pick(own);
    const query = new URLSearchParams(part("query")).toString();
    const address = path.replace(/\{(\w+)\}/g, (_, name: string) =>
      encodeURIComponent(wellFormed(params[name] ?? "x")),
    );
    const [type, content] = Object.entries(requestBody?.content ?? {})[0] ?? [];
    const body = content && (type === "application/json" ? JSON.stringify(fuzz.value(content.schema)) : fuzz.word());
    const who = chance.pick(people);
    const answer = await who.send<{ detail?: string; code?: string }>(
      method,
      `${address}${query ? `?${query}` : ""}`,
      body,
      {
        ...(type ? { "Content-Type": type } : {}),
        "Idempotency-Key": uuid(),
      },
    );
    counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
    // Sources outside are stand-ins here; on a slow machine one of them may answer too late, which is told as it is.
    const isLate = answer.status === 503 && (answer.body.code?.endsWith("unreachable") ?? false);
    if (answer.status >= 500 && !isLate)
      failed.push(`${answer.status} ${operationId} ${address}?${query} ${body ?? ""}`);
  }
  if (process.env.FUZZ_SEED) process.stdout.write(`${JSON.stringify([...counts])}\n`);
  expect(failed).toEqual([]);
  expect(counts.get(200) ?? 0).toBeGreaterThan(REQUESTS / 10);
  expect(counts.get(422) ?? 0).toBeGreaterThan(REQUESTS / 50);
}, 900_000);

const asText = (value: unknown): string => (typeof value === "string" ? value : JSON.stringify(value));
/** An address cannot even be written with half a pair. */
const wellFormed = (text: string): string => text.replace(/\p{Surrogate}/gu, "\uFFFD");
