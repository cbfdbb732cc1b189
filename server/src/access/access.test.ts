import { v7 as uuid } from "uuid";
import type { Customer, Me, WorkOrderView } from "@mechanon/contract";
import { routes } from "@mechanon/contract";
import {
  findOrder,
  sendCommand,
  startTestServer,
  type HttpAnswer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let wren: TestPerson;
let tomas: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  [odile, wren, tomas] = await Promise.all([server.signIn("odile"), server.signIn("wren"), server.signIn("tomas")]);
});
afterAll(() => server?.stop());

describe("a stranger", () => {
  const closed = Object.entries(routes).filter(([, route]) => !("open" in route && route.open));
  it.each(closed.map(([name, { method, path }]) => [name, method, path]))(
    "cannot use %s",
    async (_name, method, path) => {
      const answer = await server
        .stranger()
        .send(
          method.toUpperCase(),
          path.replace(/:(\w+)/g, uuid()),
          method === "get" || method === "delete" ? undefined : {},
        );
      expect(answer.status).toBe(401);
      expect(answer.body).toMatchObject({ code: "session/missing" });
    },
  );
});

describe("a page of somebody else", () => {
  it("asks nothing and changes nothing once another person is signed in in the browser", async () => {
    const me = (await odile.get<Me>("/api/session")).body;
    const others = { "Mechanon-Person": (await wren.get<Me>("/api/session")).body.id };
    const refused = await odile.send("GET", "/api/business", undefined, others);
    expect(refused).toMatchObject({ status: 409, body: { code: "session/of-another" } });
    const order = await findOrder(odile, "Petra");
    const command = { type: "recordPressures", frontPsi: 31, rearPsi: 30 };
    const body = { commands: [{ id: uuid(), at: new Date().toISOString(), command }] };
    const path = `/api/work-orders/${order.id}/commands`;
    expect((await odile.post(path, body, others)).status).toBe(409);
    const { state } = (await odile.get<WorkOrderView>(`/api/work-orders/${order.id}`)).body;
    expect(state.pressures?.frontPsi).not.toBe(31);
    expect((await odile.post(path, body, { "Mechanon-Person": me.id })).status).toBe(200);
  });
});

describe("the key of a person's devices", () => {
  it("is theirs alone, and the same wherever they sign in", async () => {
    const keyOf = async (who: TestPerson): Promise<string> =>
      (await who.get<{ key: string }>("/api/session/device-key")).body.key;
    const again = await server.signIn("odile");
    const keys = [await keyOf(odile), await keyOf(again), await keyOf(wren), await keyOf(tomas)];
    expect(Buffer.from(keys[0] ?? "", "base64")).toHaveLength(32);
    expect(keys[1]).toBe(keys[0]);
    expect(new Set(keys).size).toBe(3);
  });
});

describe("signing in", () => {
  it("gives a cookie that scripts cannot read and other sites do not send", async () => {
    const { headers } = await server.stranger().post("/api/session", { login: "Odile", password: "lantern-7" });
    expect(headers.get("set-cookie")).toMatch(/HttpOnly/);
    expect(headers.get("set-cookie")).toMatch(/SameSite=Strict/);
  });

  it("ends with signing out, for whoever holds the cookie", async () => {
    const person = await server.signIn("tomas");
    expect((await person.get("/api/session")).status).toBe(200);
    expect((await person.send("DELETE", "/api/session")).status).toBe(204);
    expect((await person.get("/api/session")).status).toBe(401);
  });

  it("answers a wrong password and an unknown name alike, and stops after some tries", async () => {
    const wrong = await server.stranger().post("/api/session", { login: "tomas", password: "no" });
    const unknown = await server.stranger().post("/api/session", { login: "nobody-here", password: "no" });
    expect(wrong.status).toBe(401);
    expect(unknown.body).toEqual(wrong.body);
    for (let attempt = 0; attempt < 8; attempt++)
      await server.stranger().post("/api/session", { login: "tomas", password: "no" });
    const blocked = await server.stranger().post("/api/session", { login: "tomas", password: "anchor-22" });
    expect(blocked.body).toMatchObject({ status: 429, code: "session/too-many-tries" });
    expect(Number(blocked.headers.get("retry-after"))).toBeGreaterThan(0);
  });
});

describe("rights", () => {
  it("show the same prices to both", async () => {
    const { id } = await findOrder(odile, "Teodor");
    const [full, redacted] = [
      await odile.get<WorkOrderView>(`/api/work-orders/${id}`),
      await wren.get<WorkOrderView>(`/api/work-orders/${id}`),
    ];
    const part = ({ body }: typeof full) =>
      body.state.jobs.flatMap(({ lines }) => lines).find(({ kind }) => kind === "part");
    expect(part(full)).toMatchObject({ costCents: 1980, priceCents: null, markup: "standard" });
    expect(part(redacted)).toMatchObject({ costCents: null, priceCents: 4554, markup: null });
    expect((await findOrder(odile, "Teodor")).dueCents).toBe((await findOrder(wren, "Teodor")).dueCents);
  });

  it("let the office add a job whose cost it cannot see, with the cost kept", async () => {
    const { id } = await findOrder(odile, "Caspian");
    const jobId = uuid();
    await sendCommand(wren, id, {
      type: "addJob",
      jobId,
      libraryJobId: "wipers",
      lineIds: [uuid(), uuid()],
      concernId: null,
      pointIds: [],
    });
    const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${id}`);
    expect(body.state.jobs.find((job) => job.id === jobId)?.lines[1]).toMatchObject({ costCents: 890 });
  });

  it("refuse a price to somebody who may not change prices", async () => {
    const { id } = await findOrder(odile, "Amparo");
    const lineId = (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body.state.jobs[0]?.lines[1]?.id;
    const { body } = await sendCommand(tomas, id, {
      type: "changeLine",
      lineId,
      hours: null,
      quantity: null,
      priceCents: 1,
    });
    expect(body.outcomes[0]).toMatchObject({ outcome: "refused", refusal: "rights/change-prices" });
  });

  it("refuse rates, wages and costs of one's own to who lacks the right, and a house's line to nobody", async () => {
    const { id } = await findOrder(odile, "Caspian");
    const { state } = (await tomas.get<WorkOrderView>(`/api/work-orders/${id}`)).body;
    const jobId = uuid();
    await sendCommand(tomas, id, { type: "addOwnJob", jobId, title: "Look", concernId: null });
    const add = async (who: TestPerson, over: object): Promise<string | null> => {
      const line = {
        id: uuid(),
        kind: "labor",
        description: "Look",
        hours: 2,
        rateCents: state.rules.laborRateCents,
        wageCents: null,
        paidHours: null,
        ...over,
      };
      const [outcome] = (await sendCommand(who, id, { type: "addLine", jobId, line })).body.outcomes;
      return outcome?.refusal ?? null;
    };
    expect(await add(tomas, {})).toBeNull();
    expect(await add(tomas, { rateCents: 1 })).toBe("rights/change-prices");
    expect(await add(tomas, { rateCents: 99_999_999 })).toBe("rights/change-prices");
    expect(await add(tomas, { wageCents: 1 })).toBe("rights/change-prices");
    const part = {
      kind: "part",
      description: "Seal",
      quantity: 1,
      costCents: 1000,
      markup: "standard",
      priceCents: null,
      partNumber: null,
      brand: null,
    };
    const probe = async (who: TestPerson, over: object): Promise<string | null> => {
      const line = { id: uuid(), ...part, ...over };
      return (await sendCommand(who, id, { type: "addLine", jobId, line })).body.outcomes[0]?.refusal ?? null;
    };
    // Whoever may price but not see cost gives a price, and learns of no markup by trying costs.
    for (let cost = 1; cost <= 17; cost++) expect(await probe(wren, { costCents: cost * 500 })).toBe("rights/see-cost");
    expect(await probe(wren, { costCents: null, markup: null, priceCents: 900 })).toBeNull();
    expect(await probe(odile, {})).toBeNull();
  });

  it("let only who may change prices say who pays no tax", async () => {
    const taxExemption = { number: "EX-77" };
    const create = async (who: TestPerson, over: object): Promise<HttpAnswer<Customer>> => {
      const id = uuid();
      return who.post<Customer>(
        "/api/customers",
        { id, name: `Someone ${id.slice(-6)}`, ...over },
        { "Idempotency-Key": id },
      );
    };
    expect((await create(tomas, { taxExemption })).body).toMatchObject({ status: 403, code: "rights/missing" });
    const { body: kept } = await create(wren, { taxExemption });
    const { id, createdAt: _at, erasedAt: _erased, ...fields } = kept;
    const change = (over: object): Promise<HttpAnswer> =>
      tomas.send("PATCH", `/api/customers/${id}`, { ...fields, ...over });
    expect((await change({ taxExemption: null })).status).toBe(403);
    expect((await change({ taxExemption: { number: "EX-78" } })).status).toBe(403);
    expect((await change({ name: "Someone Renamed" })).status).toBe(200);
  });
});
