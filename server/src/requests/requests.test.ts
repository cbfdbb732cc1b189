import { v7 as uuid } from "uuid";
import type { AskPage, CustomerPage, RequestMatches, VisitRequest, WorkOrderView } from "@mechanon/contract";
import { ASK, askFor, askedOf, offeredTo, WHERE } from "../testing/asking";
import { findSheet, startTestServer, until, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let wren: TestPerson;
let stranger: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  [odile, wren] = [await server.signIn(), await server.signIn("wren")];
  stranger = server.stranger();
});
afterAll(() => server?.stop());

const listed = async (who = odile): Promise<VisitRequest[]> =>
  (await who.get<{ requests: VisitRequest[] }>("/api/requests")).body.requests;
const opened = async (id: string): Promise<{ request: VisitRequest; matches: RequestMatches }> =>
  (await odile.get<{ request: VisitRequest; matches: RequestMatches }>(`/api/requests/${id}`)).body;
const count = async (sql: string): Promise<number> => {
  const [rows] = await server.db.query(`select count(*)::int as count from ${sql}`);
  return (rows as { count: number }[])[0]?.count ?? 0;
};
const agree = (who: TestPerson, id: string, over: object = {}) =>
  who.post<{ workOrderId: string; code?: string }>(`/api/requests/${id}/agreement`, {
    customerId: null,
    vehicleId: null,
    ...over,
  });

describe("the public page", () => {
  it("says what can be asked for, what it costs and on what terms, in both languages", async () => {
    const { body } = await stranger.get<AskPage>(ASK);
    expect(body).toMatchObject({
      businessName: "Larkhaven Driveway Garage",
      isOpen: true,
      callOutCents: 4500,
      diagnosisCents: 9500,
    });
    expect(body.wishes.find(({ id }) => id === "oil")).toEqual({
      id: "oil",
      en: "Oil and filter",
      es: "Aceite y filtro",
    });
    expect(body.terms.es).toMatch(/^Una visita cancelada/);
    expect((await stranger.get("/api/public/ask/nobody-here")).status).toBe(404);
  });

  it("says what a plate is, and never whose, where we know it", async () => {
    const { body } = await stranger.post<{ cars: object[] }>(`${ASK}/car`, {
      plate: "LRK 1204",
      region: "wa",
      vin: "",
    });
    expect(body.cars).toEqual([
      { plate: "LRK1204", region: "WA", vin: "", year: 2019, make: "Honda", model: "Accord" },
    ]);
    expect(JSON.stringify(body)).not.toMatch(/Maren|Oyelaran|1HGCV/);
  });

  it("offers only times that are free, and holds the picked one for whoever picked it", async () => {
    const [time] = await offeredTo(stranger);
    if (!time) throw new Error("no time is offered");
    const held = (requestId: string) =>
      stranger.post<{ code: string }>(`${ASK}/held`, { place: WHERE, wishIds: ["oil"], requestId, time });
    const mine = uuid();
    expect([(await held(mine)).status, (await held(mine)).status, (await held(uuid())).body.code]).toEqual([
      200,
      200,
      "ask/time-gone",
    ]);
    expect(await offeredTo(stranger)).not.toContainEqual(time);
    const night = { ...time, startsAt: "2031-05-01T10:00:00.000Z", endsAt: "2031-05-01T11:00:00.000Z" };
    const never = await stranger.post<{ code: string }>(`${ASK}/held`, {
      place: WHERE,
      wishIds: [],
      requestId: mine,
      time: night,
    });
    expect(never.body.code).toBe("ask/time-gone");
  });
});

describe("a request", () => {
  it("is kept once however often it is sent, with one page and one message", async () => {
    const [, time] = await offeredTo(stranger);
    if (!time) throw new Error("no time is offered");
    const id = uuid();
    const body = askedOf(time, { phone: "(360) 555-0161" });
    const send = () => stranger.post<{ page: string; code: string }>(`${ASK}/requests/${id}`, body);
    const answers = await Promise.all(Array.from({ length: 8 }, send));
    const pages = new Set(answers.map((answer) => answer.body.page));
    expect([answers.map(({ status }) => status), pages.size]).toEqual([Array.from({ length: 8 }, () => 200), 1]);
    expect(await count(`requests where id = '${id}'`)).toBe(1);
    expect(await count(`messages where request_id = '${id}' and kind = 'asked'`)).toBe(1);
    // Something else under the same id tells nothing of it.
    const other = await stranger.post<{ code: string }>(`${ASK}/requests/${id}`, { ...body, name: "Else" });
    expect(other.body.code).toBe("request/id-taken");
    // Its time is nobody else's until somebody answered.
    expect(await offeredTo(stranger)).not.toContainEqual(time);
    await until(
      () => server.sentMessages(),
      (sent) => sent.some(({ to }) => to === "+13605550161"),
    );
  });

  it("is refused where its time is gone, its terms changed, or too many come from one phone", async () => {
    const [time] = await offeredTo(stranger);
    if (!time) throw new Error("no time is offered");
    const send = (over: object) =>
      stranger.post<{ code: string }>(`${ASK}/requests/${uuid()}`, { ...askedOf(time), ...over });
    expect((await send({ terms: "It is free" })).body.code).toBe("ask/terms-changed");
    const gone = { ...time, startsAt: "2031-05-01T10:00:00.000Z", endsAt: "2031-05-01T11:00:00.000Z" };
    expect((await send({ time: gone })).body.code).toBe("ask/time-gone");
    await server.db.query(
      `insert into requests (business_id, id, asked, asked_hash, status, phone, work_order_id, visit_id, new_customer_id, new_vehicle_id)
       select business_id, gen_random_uuid(), '{}', '', 'withdrawn', '+13605550169', gen_random_uuid(), gen_random_uuid(),
         gen_random_uuid(), gen_random_uuid() from directory.ask_pages, generate_series(1, 6) where slug = 'larkhaven'`,
    );
    expect((await send({ phone: "360 555 0169" })).body.code).toBe("ask/too-many");
    await server.db.query("delete from requests where phone = '+13605550169'");
    expect((await send({ phone: "12" })).status).toBe(422);
    expect((await send({ phone: "", email: "" })).status).toBe(422);
  });

  it("is matched for us with why, and becomes a work order and a visit without typing; the second who agrees is told", async () => {
    const maren = await findSheet(odile, "Maren Oyelaran");
    const { id, token, time } = await askFor(stranger, {
      name: "M. Oyelaran",
      phone: "360-555-0111",
      car: { plate: "LRK1204", region: "WA", vin: "", year: 2019, make: "Honda", model: "Accord" },
      wishIds: ["oil", "oil"],
      words: "oil and filter",
      isThere: false,
      keyLies: "Under the blue pot",
    });
    const { request, matches } = await opened(id);
    expect(request).toMatchObject({ status: "waiting", isTimeFree: true, takenBy: null });
    const [match] = matches.customers;
    expect([match?.customer.name, match?.likenesses[0], matches.car?.ownerName]).toEqual([
      "Maren Oyelaran",
      "phone",
      "Maren Oyelaran",
    ]);
    const choice = { customerId: match?.customer.id, vehicleId: matches.car?.vehicle.id };
    const [first, second] = await Promise.all([agree(odile, id, choice), agree(wren, id, choice)]);
    expect([first.status, second.status].sort()).toEqual([200, 409]);
    const workOrderId = first.body.workOrderId ?? second.body.workOrderId;
    const { body: view } = await odile.get<WorkOrderView>(`/api/work-orders/${workOrderId}`);
    expect(view.customer?.id).toBe(maren.customer.id);
    expect(view.vehicle?.plate).toBe("LRK1204");
    expect(view.state.concerns.map(({ text }) => text)).toEqual(["Oil change is due"]);
    expect(view.state.jobs).toHaveLength(1);
    expect(view.visits).toMatchObject([
      { startsAt: time.startsAt, mechanicId: time.mechanicId, arranged: { keyLies: "Under the blue pot" } },
    ]);
    expect(view.visits[0]?.arranged.termsAcceptedAt).not.toBeNull();
    // Her phone and mail are as they were: a stranger may have typed it.
    expect(view.customer?.phones).toEqual(maren.customer.phones);
    expect((await listed(wren)).find((each) => each.id === id)).toMatchObject({ status: "agreed", workOrderId });
    const page = (await stranger.get<CustomerPage>(`/api/public/pages/${token}`)).body;
    expect(page.orders.map(({ id: order }) => order)).toEqual([workOrderId]);
    // Whoever typed her phone is not told her name by it.
    expect([page.name, JSON.stringify(page).includes("Maren")]).toEqual(["M.", false]);
    expect(await count(`messages where work_order_id = '${workOrderId}' and kind = 'booked'`)).toBeGreaterThan(0);
  });

  it("of somebody new makes customer and car; after a server that died in between the queue finishes it", async () => {
    const { id } = await askFor(stranger, {
      name: "Isidro Vance",
      phone: "360 555 0188",
      language: "es",
      wishIds: ["lamp"],
    });
    await server.db.query(`update requests set status = 'agreed', taken_at = now(), customer_id = new_customer_id,
      taken_by = (select id from people where login = 'odile' limit 1) where id = '${id}'`);
    expect((await agree(odile, id)).status).toBe(200);
    expect((await agree(odile, id)).status).toBe(200);
    const sheet = await findSheet(odile, "Isidro Vance");
    expect(sheet.customer).toMatchObject({ language: "es", textConsent: { given: true } });
    expect([sheet.vehicles.length, sheet.openWork.length, sheet.comingVisits.length]).toEqual([1, 1, 1]);
    const booked = sheet.messages.find(({ kind }) => kind === "booked");
    expect(booked?.text).toMatch(/ va el .*Vea o cambie la visita/);
  });

  it("is offered other times, of which the customer takes one", async () => {
    const { id, token } = await askFor(stranger, { name: "Lune Abarca", phone: "360 555 0190", wishIds: ["check"] });
    const times = (await offeredTo(stranger, ["check"])).slice(1, 3);
    expect((await odile.post(`/api/requests/${id}/offer`, { times, words: "Mornings are full." })).status).toBe(200);
    const page = `/api/public/pages/${token}`;
    const { body } = await stranger.get<CustomerPage>(page);
    expect(body.requests).toMatchObject([{ status: "offered", offered: times, answer: "Mornings are full." }]);
    const wrong = await stranger.post<{ code: string }>(`${page}/requests/${id}/pick`, {
      time: { ...times[0], startsAt: "2031-05-01T10:00:00.000Z", endsAt: "2031-05-01T11:00:00.000Z" },
    });
    expect(wrong.body.code).toBe("ask/time-gone");
    const both = await Promise.all(
      [0, 1].map((index) => stranger.post<CustomerPage>(`${page}/requests/${id}/pick`, { time: times[index] })),
    );
    expect(both.some(({ status }) => status === 200)).toBe(true);
    const after = (await stranger.get<CustomerPage>(page)).body;
    expect(after.requests).toEqual([]);
    expect(after.orders).toHaveLength(1);
    expect(after.orders[0]?.visits).toHaveLength(1);
  });

  it("is declined with a word, or taken back", async () => {
    const one = await askFor(stranger, { phone: "360 555 0191", wishIds: ["buying"] });
    expect((await odile.post(`/api/requests/${one.id}/refusal`, { words: "Too far for us." })).status).toBe(200);
    expect((await wren.post<{ detail: string }>(`/api/requests/${one.id}/refusal`, { words: "" })).body.detail).toMatch(
      /Odile .*declined/,
    );
    expect((await agree(wren, one.id)).body.code).toBe("visit-request/taken");
    const page = await stranger.get<CustomerPage>(`/api/public/pages/${one.token}`);
    expect(page.body.requests).toMatchObject([{ status: "declined", answer: "Too far for us." }]);
    const two = await askFor(stranger, { phone: "360 555 0192", wishIds: ["hot"] });
    const back = await stranger.post<CustomerPage>(`/api/public/pages/${two.token}/requests/${two.id}/withdrawal`, {});
    expect(back.body.requests).toMatchObject([{ status: "withdrawn" }]);
    expect((await agree(odile, two.id)).body.code).toBe("visit-request/taken");
    // Its time is free again.
    expect(await offeredTo(stranger, ["hot"])).toContainEqual(two.time);
  });

  it("stays where its time was taken by our own booking, and says so", async () => {
    const { id, time } = await askFor(stranger, { phone: "360 555 0193", wishIds: ["tires"] });
    await server.db.query(`delete from held_times where starts_at = '${time.startsAt}'`);
    const other = await askFor(stranger, { phone: "360 555 0194", wishIds: ["tires"] });
    if (other.time.startsAt === time.startsAt) expect((await agree(odile, other.id)).status).toBe(200);
    const answer = await agree(odile, id);
    expect([200, 409]).toContain(answer.status);
    if (answer.status === 409)
      expect((await opened(id)).request).toMatchObject({ status: "waiting", isTimeFree: false });
  });
});

it("a wish that was done on this car before stands there as it was done then, with the same parts, and never twice", async () => {
  // A car with an oil service that is finished.
  const [rows] = await server.db.query(
    `select v.plate, v.region, v.id from work_orders w join vehicles v on v.business_id = w.business_id and v.id = w.vehicle_id,
       jsonb_array_elements(w.state->'jobs') job
     where job->>'libraryJobId' = 'oil-service' and job->>'finishedAt' is not null and v.plate is not null limit 1`,
  );
  const [before] = rows as { plate: string; region: string; id: string }[];
  if (!before) throw new Error("the demo has no finished oil service");
  // It had other parts than the library has by now.
  await server.db.query(
    `update work_orders set state = jsonb_set(state, '{jobs}', (select jsonb_agg(jsonb_set(job, '{lines}',
       (select jsonb_agg(case when line->>'kind' = 'part' then line || '{"brand": "Fennwick", "partNumber": "FW-OLD-7"}' else line end)
        from jsonb_array_elements(job->'lines') line))) from jsonb_array_elements(state->'jobs') job)) where vehicle_id = '${before.id}' and state->'jobs' <> '[]'`,
  );
  const car = { plate: before.plate, region: before.region, vin: "", year: null, make: "", model: "" };
  const { id } = await askFor(stranger, { phone: "360 555 0196", car, wishIds: ["oil"], words: "Oil and filter" });
  const { matches } = await opened(id);
  const { body } = await agree(odile, id, { vehicleId: matches.car?.vehicle.id });
  const { state } = (await odile.get<WorkOrderView>(`/api/work-orders/${body.workOrderId}`)).body;
  expect([state.concerns.length, state.jobs.length]).toEqual([1, 1]);
  const parts = state.jobs[0]?.lines.flatMap((line) => (line.kind === "part" ? [line.partNumber] : []));
  expect(parts?.length).toBeGreaterThan(1);
  expect(new Set(parts)).toEqual(new Set(["FW-OLD-7"]));
});

it("the same request a thousand times is one, and from one address a few dozen are heard at all", async () => {
  const [time] = await offeredTo(stranger, ["hot"]);
  if (!time) throw new Error("no time is offered");
  const id = uuid();
  const body = askedOf(time, { phone: "360 555 0197", wishIds: ["hot"] });
  const statuses: number[] = [];
  for (let batch = 0; batch < 50; batch += 1)
    statuses.push(
      ...(await Promise.all(Array.from({ length: 20 }, () => stranger.post(`${ASK}/requests/${id}`, body)))).map(
        ({ status }) => status,
      ),
    );
  expect(new Set(statuses)).toEqual(new Set([200, 429]));
  expect(statuses.filter((status) => status === 200).length).toBeLessThanOrEqual(40);
  expect(await count(`requests where id = '${id}'`)).toBe(1);
});

it("the page's name is one business's, and the old one leads nowhere", async () => {
  expect((await odile.post("/api/ask-page", { slug: "Lark-Haven" })).body).toMatchObject({ slug: "lark-haven" });
  expect((await stranger.get(ASK)).status).toBe(404);
  expect((await stranger.get("/api/public/ask/lark-haven")).status).toBe(200);
  expect((await odile.post("/api/ask-page", { slug: "larkhaven" })).status).toBe(200);
});
