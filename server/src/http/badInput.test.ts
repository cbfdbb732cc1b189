import { jpegHeader, jpegOf, pngHeader } from "../testing/pictures";
import { v7 as uuid } from "uuid";
import { routes, type BusinessView, type WorkOrderView } from "@mechanon/contract";
import { findOrder, startTestServer, type Outcomes, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const JSON_TYPE = { "Content-Type": "application/json" };
const posting = Object.entries(routes).flatMap(([name, route]) =>
  route.body ? [[name, route.method.toUpperCase(), route.path.replace(/:(\w+)/g, uuid())] as const] : [],
);

describe.each(posting)("%s", (_name, method, path) => {
  it.each([
    ["no JSON", "{", 400],
    ["nothing", "", 422],
    ["a list", "[]", 422],
    ["null", "null", 400],
    [
      "a deep wrong type",
      JSON.stringify({ id: { toString: 1 }, commands: [[]], name: 7, login: [], plate: null }),
      422,
    ],
    ["a prototype key", '{"__proto__":{"admin":true}}', 422],
  ])("answers %s with a problem document", async (_what, text, status) => {
    const answer = await odile.send<{ code: string; title: string; detail: string }>(method, path, text, {
      ...JSON_TYPE,
      "Idempotency-Key": uuid(),
    });
    expect(answer.status).toBe(status);
    expect(answer.headers.get("content-type")).toContain("application/problem+json");
    expect(answer.body.code).toMatch(/^request\//);
    expect(JSON.stringify(answer.body)).not.toMatch(/at .*\.ts|node_modules|SELECT|sequelize/i);
  });

  it("takes nothing but JSON", async () => {
    expect(
      (await odile.send(method, path, "a=b", { "Content-Type": "application/x-www-form-urlencoded" })).body,
    ).toMatchObject({ status: 415 });
  });
});

describe("a new customer", () => {
  const post = (body: object, key = uuid()) =>
    odile.post<{ code: string; name: string; fields: { path: string }[] }>("/api/customers", body, {
      "Idempotency-Key": key,
    });
  const body = (over: object = {}): object => ({
    id: uuid(),
    name: "Isolde Karimi",
    ...over,
  });

  it.each([
    ["a phone that is none", { phones: [{ number: "12" }] }, "phones.0.number"],
    ["an email that is none", { emails: [{ address: "isolde@" }] }, "emails.0.address"],
    ["no name", { name: "   " }, "name"],
    ["a name of 301 letters", { name: "x".repeat(301) }, "name"],
    ["a name with a null character", { name: "a\u0000b" }, "name"],
    ["an id that is none", { id: "1" }, "id"],
  ])("is told at the field about %s", async (_name, over, field) => {
    const answer = await post(body(over));
    expect([answer.status, answer.body.fields.map(({ path }) => path)]).toEqual([422, [field]]);
  });

  it("keeps emoji, right-to-left names and 300 letters", async () => {
    for (const name of ["Zoë 🚗", "نور الهدى", "ב".repeat(300)])
      expect((await post(body({ name }))).body.name).toBe(name);
  });

  it("is made once for a key, and a key is not for another request", async () => {
    const key = uuid();
    const same = body({ phones: [{ number: "360 555 0177" }] });
    const answers = await Promise.all([post(same, key), post(same, key), post(same, key)]);
    for (const answer of answers)
      expect(answer).toMatchObject({ status: 201, body: { phones: [{ number: "+13605550177" }] } });
    expect((await post(body(), key)).body).toMatchObject({ code: "request/key-reused" });
    expect((await odile.post("/api/customers", same)).body).toMatchObject({ code: "request/key-missing" });
  });

  it("is changed only from the version that was seen", async () => {
    const made = await odile.post<{ id: string }>("/api/customers", body(), { "Idempotency-Key": uuid() });
    const change = (version: number, name: string) =>
      odile.send<{ code: string; version: number }>("PATCH", `/api/customers/${made.body.id}`, {
        name,
        version,
      });
    expect((await change(1, "Isolde K.")).body.version).toBe(2);
    expect((await change(1, "Isolde X.")).body).toMatchObject({ code: "version/changed" });
  });
});

describe("search", () => {
  it.each(["%", "'", "_", "\\", "x".repeat(500), "🚗", "(360) 555-0111 ", "1e9"])(
    "takes %p for what it is",
    async (typed) => {
      expect((await odile.get(`/api/search?q=${encodeURIComponent(typed)}`)).status).toBe(200);
    },
  );
  it.each([
    ["a phone however typed", "360.555.0111", "Maren Oyelaran"],
    ["its last digits", "0111", "Maren Oyelaran"],
    ["a plate with O for 0", "lrk12O4", "Maren Oyelaran"],
    ["the end of a VIN", "048217", "Maren Oyelaran"],
    ["part of a name", "oyel", "Maren Oyelaran"],
  ])("finds by %s", async (_name, typed, name) => {
    const { body } = await odile.get<{ customers: { customer: { name: string } }[] }>(
      `/api/search?q=${encodeURIComponent(typed)}`,
    );
    expect(body.customers.map(({ customer }) => customer.name)).toContain(name);
  });
  it("does not find everything for a percent sign", async () => {
    expect((await odile.get<{ customers: unknown[] }>("/api/search?q=%25")).body.customers).toEqual([]);
  });
});

describe("the rest", () => {
  it("has words for an address that is not there, and one that is no address", async () => {
    expect((await odile.get("/api/nothing")).body).toMatchObject({ code: "route/not-found" });
    expect((await odile.get("/api/work-orders/not-an-id")).body).toMatchObject({ code: "request/invalid" });
    expect((await odile.get(`/api/work-orders/${uuid()}`)).body).toMatchObject({ code: "work-order/not-found" });
    expect((await odile.get("/api/day?date=2026-02-30")).body).toMatchObject({ code: "request/invalid" });
    expect((await odile.get("/api/vins/%E0%A4%A")).status).toBe(400);
  });
  it("takes pictures by their bytes, not by their names", async () => {
    const id = uuid();
    const fake = await odile.send("POST", `/api/photos/${id}`, new TextEncoder().encode("%PDF-1.7 called photo.jpg"), {
      "Content-Type": "image/jpeg",
    });
    expect(fake.body).toMatchObject({ code: "photo/unreadable", status: 422 });
    const jpeg = new Uint8Array(jpegOf());
    for (let again = 0; again < 2; again++)
      expect((await odile.send("POST", `/api/photos/${id}`, jpeg, { "Content-Type": "image/jpeg" })).status).toBe(204);
    expect((await odile.get(`/api/photos/${id}`)).headers.get("content-type")).toBe("image/jpeg");
    expect(
      (
        await odile.send("POST", `/api/photos/${uuid()}`, new Uint8Array(16 * 1024 * 1024), {
          "Content-Type": "image/jpeg",
        })
      ).body,
    ).toMatchObject({ status: 413 });
  });
  it.each([
    ["a header of 50,000 by 50,000 pixels", pngHeader(50_000, 50_000)],
    ["one line of 100,000 pixels", jpegHeader(60_000, 1)],
    ["a picture cut off in its header", pngHeader().subarray(0, 12)],
    ["a picture cut off behind its header", jpegOf().subarray(0, 160)],
    ["a header and nothing to see", jpegHeader(40, 30)],
  ])("keeps no picture that nobody can open: %s", async (_name, bytes) => {
    const id = uuid();
    const { body } = await odile.send("POST", `/api/photos/${id}`, new Uint8Array(bytes), {
      "Content-Type": "image/png",
    });
    expect(body).toMatchObject({ code: "photo/unreadable", status: 422 });
    expect((await odile.get(`/api/photos/${id}`)).status).toBe(404);
  });
  it("tells what is wrong with a VIN, and what was meant", async () => {
    const { body } = await odile.get<{ report: { problems: unknown[]; suggestions: unknown[] } }>(
      "/api/vins/1HGCV1F34KAO48217",
    );
    expect(body.report.problems).toMatchObject([{ code: "illegal-character", position: 12 }]);
    expect(body.report.suggestions[0]).toEqual({
      vin: "1HGCV1F34KA048217",
      changes: [{ position: 12, from: "O", to: "0" }],
    });
    expect((await odile.get("/api/vins/1hgcv1f34ka048217")).body).toMatchObject({
      report: { make: "Honda", model: "Accord", modelYear: 2019 },
      known: { customerName: "Maren Oyelaran" },
    });
  });
  it("refuses a change that another site asked for", async () => {
    expect((await odile.post("/api/session", {}, { "Sec-Fetch-Site": "cross-site" })).body).toMatchObject({
      code: "request/wrong-origin",
    });
  });
  it("describes itself in OpenAPI 3.1, every route with its problems", async () => {
    const { body } = await server
      .stranger()
      .get<{ openapi: string; paths: Record<string, Record<string, { responses: object }>> }>("/api/openapi.json");
    expect(body.openapi).toBe("3.1.0");
    for (const route of Object.values(routes))
      expect(body.paths[route.path.replace(/:(\w+)/g, "{$1}")]?.[route.method]?.responses).toHaveProperty("default");
  });
  it("says that it is well", async () => {
    expect((await server.stranger().get("/api/health")).body).toEqual({
      status: "ok",
      database: "ok",
      version: "0.1.0",
    });
  });
});

describe("what once failed inside", () => {
  const carBody = (id: string, customerId: string): object => ({
    id,
    customerId,
    vin: null,
    plate: null,
    region: null,
    year: 2012,
    make: "Fennick",
    model: "Rover",
    trim: null,
    engine: null,
    drive: null,
    color: null,
  });
  it.each([
    ["a zero in a login", () => odile.post("/api/session", { login: "od\u0000ile", password: "x" }), 422],
    ["half a pair in a login", () => odile.post("/api/session", { login: "od\ud83dile", password: "x" }), 422],
    ["a day of the year 0", () => odile.get("/api/day?date=0000-01-01"), 422],
    [
      "a moment of the year 0",
      () => odile.get(`/api/open-work?waitsFor=work&since=0000-01-01T00:00:00Z&id=${uuid()}`),
      422,
    ],
    [
      "a version no column holds",
      () => odile.send("PATCH", `/api/customers/${uuid()}`, { name: "A", version: 3e9 }),
      422,
    ],
    [
      "a token that is none",
      () => odile.get("/api/public/receipts/%00%00%00%00%00%00%00%00%00%00%00%00%00%00%00%00%00%00%00%00%00"),
      422,
    ],
  ])("is refused: %s", async (_name, ask, status) => {
    const { body } = await ask();
    expect(body).toMatchObject({ status, code: "request/invalid" });
  });

  it("keeps one customer and one car under an id, whatever key they come with", async () => {
    const [id, car] = [uuid(), uuid()];
    const create = (name: string): Promise<{ status: number; body: unknown }> =>
      odile.post("/api/customers", { id, name }, { "Idempotency-Key": uuid() });
    expect((await create("First Comer")).status).toBe(201);
    expect((await create("Second Comer")).body).toMatchObject({ status: 409, code: "request/id-taken" });
    const keep = (): Promise<{ status: number; body: unknown }> =>
      odile.post("/api/vehicles", carBody(car, id), { "Idempotency-Key": uuid() });
    expect((await keep()).status).toBe(201);
    expect((await keep()).body).toMatchObject({ status: 409, code: "request/id-taken" });
  });
});

describe("a batch of commands", () => {
  const AT = new Date().toISOString();
  const batch = (...commands: unknown[]): object => ({
    commands: commands.map((command) => ({ id: uuid(), at: AT, command })),
  });
  const outcomes = async (path: string, ...commands: unknown[]): Promise<(string | null)[]> =>
    (await odile.post<Outcomes>(path, batch(...commands))).body.outcomes.map(
      ({ outcome, refusal }) => refusal ?? outcome,
    );
  const miles = (value: number): object => ({ type: "recordOdometer", miles: value });
  const line = (over: object): object => ({
    type: "addLine",
    jobId: uuid(),
    line: {
      id: uuid(),
      kind: "part",
      description: "Seal",
      quantity: 1,
      costCents: 100,
      markup: "standard",
      priceCents: null,
      partNumber: null,
      brand: null,
      ...over,
    },
  });

  it("runs what is before and behind one that cannot be read, and refuses that alone", async () => {
    const { id } = await findOrder(odile, "Teodor");
    const path = `/api/work-orders/${id}/commands`;
    const unreadable = [
      { type: "addConcern", concernId: uuid(), text: "half \ud83d", kind: "wish", phraseId: null },
      { type: "addConcern", concernId: uuid(), text: "zero \u0000", kind: "wish", phraseId: null },
      line({ description: "w".repeat(300) }),
      line({ quantity: 1e12 }),
      { type: "unheardOf" },
      null,
    ];
    expect(await outcomes(path, miles(10), ...unreadable, miles(20))).toEqual([
      "applied",
      ...unreadable.map(() => "command/unreadable"),
      "applied",
    ]);
    const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${id}`);
    expect(body.state.odometerMiles?.value).toBe(20);
    expect(await outcomes(path, line({ markup: "constructor" }), line({ markup: "no such table" }))).toEqual([
      "line/figure-does-not-fit",
      "line/figure-does-not-fit",
    ]);
  });

  it("books no visit for thousands of years, and each work order once", async () => {
    const { id } = await findOrder(odile, "Teodor");
    const { people } = (await odile.get<BusinessView>("/api/business")).body;
    const place = { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null };
    const book = (over: object): object => ({
      type: "bookVisit",
      workOrderIds: [id, id],
      mechanicId: people.find(({ isMechanic }) => isMechanic)?.id,
      place,
      startsAt: "2027-09-01T18:00:00.000Z",
      endsAt: "2027-09-01T19:00:00.000Z",
      note: "",
      allowOverlap: false,
      ...over,
    });
    const path = (): string => `/api/visits/${uuid()}/commands`;
    expect(await outcomes(path(), book({ startsAt: "0001-01-01T00:00:00Z", endsAt: "9999-12-31T00:00:00Z" }))).toEqual([
      "command/unreadable",
    ]);
    expect(await outcomes(path(), book({ endsAt: "2029-09-01T19:00:00.000Z" }))).toEqual(["visit/too-long"]);
    expect(await outcomes(path(), book({}))).toEqual(["applied"]);
  });

  it("dates nothing before a device could have kept it", async () => {
    const { id } = await findOrder(odile, "Teodor");
    const paymentId = uuid();
    const command = { type: "takeCash", paymentId, amountCents: 1, tenderedCents: 1 };
    await odile.post(`/api/work-orders/${id}/commands`, {
      commands: [{ id: uuid(), at: "1970-01-01T00:00:00.000Z", command }],
    });
    const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${id}`);
    const at = body.state.payments.find((payment) => payment.id === paymentId)?.at ?? "";
    expect(Date.now() - Date.parse(at)).toBeLessThan(367 * 86_400_000);
  });

  it("is no larger than a day's work", async () => {
    const { id } = await findOrder(odile, "Teodor");
    const answer = await odile.post(
      `/api/work-orders/${id}/commands`,
      batch(line({ description: "w".repeat(3_000_000) })),
    );
    expect(answer.body).toMatchObject({ status: 413, code: "request/too-large" });
  });
});
