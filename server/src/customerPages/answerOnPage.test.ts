import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import { sumShown, type AskedTime } from "@mechanon/core";
import type { CustomerPage, OpenMessage, PageOrder } from "@mechanon/contract";
import { proveAgreed, type AgreedFault } from "../approvals/proveAgreed";
import { askFor, wellAhead } from "../testing/asking";
import { sendCommand, startTestServer, type HttpAnswer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let stranger: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  stranger = server.stranger();
});
afterAll(() => server?.stop());

const STROKES = [[100, 100, 400, 300, 600, 200]];
let phone = 2400;

interface Quoted {
  page: string;
  orderId: string;
}
/** Somebody's page with a quote of so many jobs of 100.00 each, shown to them. */
async function quoted(jobs = 2): Promise<Quoted> {
  phone += 1;
  const { id, token } = await askFor(
    stranger,
    { name: "Juno Aldaine", phone: `360 555 ${phone}`, wishIds: [], words: "It hums" },
    wellAhead,
  );
  const { body } = await odile.post<{ workOrderId: string }>(`/api/requests/${id}/agreement`, {
    customerId: null,
    vehicleId: null,
  });
  const orderId = body.workOrderId;
  for (let n = 1; n <= jobs; n++) await addJob(orderId, `Job ${n}`);
  await odile.post(`/api/work-orders/${orderId}/quote-messages`, { messageId: uuid() });
  await server.db.query(`insert into messages (business_id, id, work_order_id, recipient, kind, text, status)
    select business_id, gen_random_uuid(), id, '', 'quoted', 'x', 'sent' from work_orders where id = '${orderId}'`);
  return { page: `/api/public/pages/${token}`, orderId };
}
async function addJob(orderId: string, title: string): Promise<string> {
  const jobId = uuid();
  await sendCommand(odile, orderId, { type: "addOwnJob", jobId, title, concernId: null });
  const line = {
    id: uuid(),
    kind: "labor",
    description: title,
    hours: 1,
    rateCents: 10_000,
    wageCents: 3_000,
    paidHours: null,
  };
  await sendCommand(odile, orderId, { type: "addLine", jobId, line });
  return jobId;
}
const show = async (page: string): Promise<PageOrder> => {
  const [order] = (await stranger.get<CustomerPage>(page)).body.orders;
  if (!order) throw new Error("the page shows no work order");
  return order;
};
type Value = "yes" | "later" | "no";
const bodyOf = ({ asked }: PageOrder, values: readonly Value[], over: object = {}): object => ({
  ...{ commandId: uuid(), digest: asked?.digest ?? "", name: "Juno Aldaine", signature: STROKES },
  answers: (asked?.shown.jobs ?? []).map(({ id, ways }, index) => ({
    ...{ jobId: id, answer: values[index] ?? "no", otherId: ways[0]?.otherId ?? null },
    ...{ reason: values[index] === "no" ? "too dear" : "", askOn: values[index] === "later" ? "2027-03-01" : null },
  })),
  ...over,
});
const answer = ({ page, orderId }: Quoted, body: object): Promise<HttpAnswer<CustomerPage & { code?: string }>> =>
  stranger.post(`${page}/orders/${orderId}/answers`, body);
const ask = <Row extends object>(sql: string): Promise<Row[]> => server.db.query<Row>(sql, { type: QueryTypes.SELECT });
const prove = async (): Promise<{ copies: number; found: AgreedFault[] }> => {
  const found: AgreedFault[] = [];
  const { copies } = await proveAgreed(server.running.deps.config.databaseOwnerUrl, (fault) => found.push(fault));
  return { copies, found };
};

describe("an answer on the page", () => {
  it("is seen on paper first, in either language, and by nobody else", async () => {
    const [on, other] = [await quoted(1), await quoted(1)];
    for (const query of ["", "?language=es"]) {
      const paper = await stranger.get(`${on.page}/quote/${on.orderId}${query}`);
      expect([paper.status, paper.headers.get("content-type")]).toEqual([200, "application/pdf"]);
    }
    expect((await stranger.get(`${other.page}/quote/${on.orderId}`)).status).toBe(403);
  });

  it("is kept to the cent as it was shown, is signaled, and what follows is asked of the mechanic", async () => {
    const on = await quoted();
    const order = await show(on.page);
    const body = bodyOf(order, ["yes", "later"]);
    const shown = order.asked?.shown;
    if (!shown) throw new Error("nothing is asked");
    const { totalCents } = sumShown(shown, new Map([[shown.jobs[0]?.id ?? "", { value: "yes" }]]));
    const after = await answer(on, body);
    expect(after.status).toBe(200);
    expect(after.body.orders[0]).toMatchObject({ dueCents: totalCents, jobs: [{ answer: "yes" }, { answer: "later" }] });
    const sheet = (await odile.get<{ state: { approvals: object[]; jobs: object[] } }>(`/api/work-orders/${on.orderId}`)).body;
    expect(sheet.state.approvals).toEqual([
      expect.objectContaining({ way: "page", name: "Juno Aldaine", totalCents, signature: STROKES, shown: order.asked?.digest }),
    ]);
    expect(sheet.state.jobs[1]).toMatchObject({ answer: { value: "later", askOn: "2027-03-01" } });
    const open = (await odile.get<{ messages: OpenMessage[] }>("/api/messages")).body.messages;
    expect(open.find(({ workOrderId, isIncoming }) => isIncoming && workOrderId === on.orderId)?.text).toBe(
      `Yes to Job 1. Later to Job 2. $${(totalCents / 100).toFixed(2)}. Signed, Juno Aldaine`,
    );
    const [copy] = await ask<{ facts: { shown: object; totalCents: number }; person: { name: string } }>(
      `select facts, person from agreed_copies where work_order_id = '${on.orderId}'`,
    );
    expect(copy).toMatchObject({ facts: { totalCents }, person: { name: "Juno Aldaine", signature: STROKES } });
    expect(JSON.stringify(copy)).not.toMatch(/cost|wage|markup|margin/i);
    // What we read of it is no words of theirs, and what guards it stays where it is kept.
    expect(JSON.stringify(after.body.orders[0]?.words)).not.toContain("Signed, ");
    expect(JSON.stringify((await odile.get(`/api/work-orders/${on.orderId}/agreed`)).body)).not.toContain("salts");
  }); // prettier-ignore

  it("sent again after its answer was lost, it is given once", async () => {
    const on = await quoted(1);
    const body = bodyOf(await show(on.page), ["yes"]);
    const all = await Promise.all([answer(on, body), answer(on, body), answer(on, body)]);
    expect(all.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect(await ask(`select 1 from agreed_copies where work_order_id = '${on.orderId}'`)).toHaveLength(1);
    expect(await ask(`select 1 from messages where work_order_id = '${on.orderId}' and is_incoming`)).toHaveLength(1);
  });

  it("of two at once the first stands, the second is told to look again", async () => {
    const on = await quoted(1);
    const order = await show(on.page);
    const [one, two] = await Promise.all([answer(on, bodyOf(order, ["yes"])), answer(on, bodyOf(order, ["no"]))]);
    // Whether it was being answered or was answered a moment ago.
    expect([one, two].filter(({ status }) => status === 200)).toHaveLength(1);
    expect([one, two].map(({ body }) => body.code).filter(Boolean)).toEqual([
      expect.stringMatching(/^page\/quote-(changed|over)$/),
    ]);
  });

  it("to a quote that changed a second ago, or to words that did, is refused before it is signed", async () => {
    const on = await quoted(1);
    const before = bodyOf(await show(on.page), ["yes"]);
    await addJob(on.orderId, "Another");
    expect(await answer(on, before)).toMatchObject({ status: 409, body: { code: "page/quote-changed" } });
    const order = await show(on.page);
    const other = { jobId: uuid(), answer: "yes", otherId: null, reason: "", askOn: null };
    expect((await answer(on, bodyOf(order, [], { answers: [other] }))).body.code).toBe("page/quote-changed");
    expect((await show(on.page)).jobs.map((job) => job.answer)).toEqual([null, null]);
  });

  it.each([
    ["without a stroke", { signature: [] }],
    ["with a dot", { signature: [[5, 5]] }],
    ["without a name", { name: " " }],
    ["with a day that is none", { answers: [{ jobId: uuid(), answer: "later", otherId: null, reason: "", askOn: "soon" }] }],
  ])("%s is none", async (_name, over) => {
    const on = await quoted(1);
    expect((await answer(on, bodyOf(await show(on.page), ["yes"], over))).status).toBe(422);
  }); // prettier-ignore

  it("is not for whoever has another's link, an ended one, or a quote whose day is over", async () => {
    const [on, other] = [await quoted(1), await quoted(1)];
    const body = bodyOf(await show(on.page), ["yes"]);
    expect((await answer({ ...on, page: other.page }, body)).body.code).toBe("page/not-proven");
    await server.db.query(`update work_orders set state = state || '{"validUntil": "2026-01-01"}' where id = '${on.orderId}'`);
    expect((await show(on.page)).asked).toBeNull();
    expect((await answer(on, body)).body.code).toBe("page/quote-over");
    await server.db.query(`update directory.page_links set ends_at = now() where work_order_id = '${other.orderId}' or request_id in
      (select id from requests where work_order_id = '${other.orderId}')`);
    expect((await answer(other, body)).body.code).toBe("page/ended");
  }); // prettier-ignore

  it("of somebody who may agree to less needs another's, too, and of somebody who may not is none", async () => {
    const on = await quoted(1);
    const contact = { id: uuid(), role: "driver", phone: null, email: null, mayPay: false, mayHandOverKeys: false };
    const contacts = [
      { ...contact, name: "Idris Vale", approvalLimitCents: 5_000 },
      { ...contact, id: uuid(), name: "Pim Vale", approvalLimitCents: 0 },
    ];
    await server.db.query(`update customers set details = jsonb_set(details, '{contacts}', $1) where id =
      (select customer_id from work_orders where id = '${on.orderId}')`, { bind: [JSON.stringify(contacts)] });
    expect((await answer(on, bodyOf(await show(on.page), ["yes"], { name: "Pim Vale" }))).body.code).toBe("page/may-not-agree");
    const half = await answer(on, bodyOf(await show(on.page), ["yes"], { name: "idris vale" }));
    expect(half.body.orders[0]).toMatchObject({ agreedBefore: "idris vale", dueCents: 0, jobs: [{ answer: null }] });
    const whole = await answer(on, bodyOf(await show(on.page), ["yes"]));
    expect(whole.body.orders[0]).toMatchObject({ agreedBefore: null, jobs: [{ answer: "yes" }], asked: null });
  }); // prettier-ignore

  it("is taken back, once, knowing what it costs", async () => {
    const on = await quoted(1);
    const [agreed] = (await answer(on, bodyOf(await show(on.page), ["yes"]))).body.orders;
    const [told] = agreed?.takingBack ?? [];
    expect(told).toMatchObject({ title: "Job 1", staysCents: 0 });
    const body = { commandId: uuid(), jobId: told?.jobId, name: "Juno Aldaine", staysCents: 0 };
    const back = (over: object = {}): Promise<HttpAnswer<CustomerPage & { code?: string }>> =>
      stranger.post(`${on.page}/orders/${on.orderId}/taking-back`, { ...body, ...over });
    expect((await back({ staysCents: 1, commandId: uuid() })).body.code).toBe("page/quote-changed");
    expect((await back()).body.orders[0]).toMatchObject({ jobs: [{ answer: null }], takingBack: [] });
    expect((await back()).status).toBe(200);
    expect((await back({ commandId: uuid() })).body.code).toBe("page/begun");
    expect(await ask(`select 1 from agreed_copies where work_order_id = '${on.orderId}'`)).toHaveLength(2);
    // What they took back can be said back to them, once, and asks first.
    const offered = `select status, text from messages where kind = 'takenBack' and work_order_id = '${on.orderId}'`;
    expect(await ask(offered)).toEqual([
      { status: "asks", text: expect.stringContaining("You took back your yes to Job 1.") as string },
    ]);
  });
});

it("nothing a customer's side is answered tells cost, wage, markup or margin", async () => {
  const on = await quoted(1);
  const order = await show(on.page);
  const photo = uuid();
  const answers = [
    await stranger.get(on.page),
    await stranger.post(`${on.page}/language`, { language: "es" }),
    await stranger.post(`${on.page}/messages`, { messageId: uuid(), text: "When?", workOrderId: on.orderId }),
    await stranger.get(`${on.page}/visits/${order.visits[0]?.id}/times`),
    await stranger.post(`${on.page}/visits/${order.visits[0]?.id}/call-off`, { commandId: uuid(), words: "" }),
    await answer(on, bodyOf(await show(on.page), ["yes"])),
    await stranger.get(`${on.page}/orders/${on.orderId}/times`),
    await stranger.get(`${on.page}/quote/${on.orderId}`),
    await stranger.get(`${on.page}/photos/${photo}`),
    await answer(on, bodyOf(order, ["yes"])),
  ];
  expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200, 200, 200, 403, 403, 410]);
  expect(JSON.stringify(answers.map(({ body }) => body))).not.toMatch(
    /cost|wage|mark-?up|margin|paidHours|10000,"wage/i,
  );
});

describe("a time at once", () => {
  const times = async ({ page, orderId }: Quoted): Promise<AskedTime[]> =>
    (await stranger.get<{ times: AskedTime[] }>(`${page}/orders/${orderId}/times`)).body.times;
  /** Agreed to, and no visit is coming. */
  async function agreedTo(): Promise<Quoted> {
    const on = await quoted(1);
    const order = await show(on.page);
    await stranger.post(`${on.page}/visits/${order.visits[0]?.id}/call-off`, { commandId: uuid(), words: "" });
    expect(await times(on)).toEqual([]);
    const after = await answer(on, bodyOf(await show(on.page), ["yes"]));
    expect(after.body.orders[0]?.canPickTime).toBe(true);
    return on;
  }
  const book = (
    on: Quoted,
    time: AskedTime | undefined,
    commandId = uuid(),
  ): Promise<HttpAnswer<CustomerPage & { code?: string }>> =>
    stranger.post(`${on.page}/orders/${on.orderId}/time`, { commandId, time });

  it("is picked once, and another's is gone", async () => {
    const [one, two] = [await agreedTo(), await agreedTo()];
    // In whatever language: what it is told with is theirs.
    await stranger.post(`${one.page}/language`, { language: "es" });
    const [time] = await times(one);
    const commandId = uuid();
    const first = await book(one, time, commandId);
    expect(first.body.orders[0]).toMatchObject({ canPickTime: false });
    expect(first.body.orders[0]?.visits.some(({ startsAt }) => startsAt === time?.startsAt)).toBe(true);
    expect((await book(one, time, commandId)).status).toBe(200);
    expect((await book(two, time)).body.code).toBe("ask/time-gone");
    // Two at one moment, each with an id of its own, for two times: one visit.
    const [early, late] = await times(two);
    const both = await Promise.all([book(two, early), book(two, late)]);
    expect(both.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(await ask(`select 1 from visit_work_orders where work_order_id = '${two.orderId}'`)).toHaveLength(2);
    expect((await book(one, time)).body.code).toBe("ask/time-gone");
    expect(await ask(`select 1 from visit_work_orders where work_order_id = '${one.orderId}'`)).toHaveLength(2);
  });

  it("is not before the parts are there, and is booked while they are still to be bought", async () => {
    const on = await agreedTo();
    const [job] = await ask<{ id: string }>(
      `select state->'jobs'->0->>'id' as id from work_orders where id = '${on.orderId}'`,
    );
    const part = { kind: "part", description: "Rotor", quantity: 2, costCents: 4180, markup: null, priceCents: 9000 };
    const line = { ...part, id: uuid(), partNumber: "HY-7718", brand: null };
    const [soonest] = await times(on);
    await sendCommand(odile, on.orderId, { type: "addLine", jobId: job?.id, line });
    await answer(on, bodyOf(await show(on.page), ["yes"]));
    const [time] = await times(on);
    expect(Date.parse(time?.startsAt ?? "")).toBeGreaterThanOrEqual(Date.parse(soonest?.startsAt ?? ""));
    expect((await book(on, time)).body).toMatchObject({ orders: [{ canPickTime: false }] });
  });

  it("is none where nobody can say when the parts are there", async () => {
    const on = await agreedTo();
    const [job] = await ask<{ id: string }>(
      `select state->'jobs'->0->>'id' as id from work_orders where id = '${on.orderId}'`,
    );
    const line = {
      id: uuid(),
      kind: "part",
      description: "A part nobody has",
      quantity: 1,
      costCents: 0,
      markup: null,
      priceCents: 0,
      partNumber: "NO-SUCH",
      brand: null,
    };
    expect((await times(on)).length).toBeGreaterThan(0);
    await sendCommand(odile, on.orderId, { type: "addLine", jobId: job?.id, line });
    const again = await answer(on, bodyOf(await show(on.page), ["yes"]));
    expect(again.status).toBe(200);
    expect(await times(on)).toEqual([]);
  });
});

describe("the chain of what was agreed", () => {
  it("proves, and after a person was erased, too", async () => {
    const on = await quoted(1);
    await answer(on, bodyOf(await show(on.page), ["no"]));
    const { copies, found } = await prove();
    expect(found).toEqual([]);
    expect(copies).toBeGreaterThan(3);
    const [row] = await ask<{ id: string; version: number }>(
      `select c.id, c.version from customers c join work_orders w on w.customer_id = c.id where w.id = '${on.orderId}'`,
    );
    await server.db.query(`update visits set cancelled = true where id in (select visit_id from visit_work_orders where work_order_id = '${on.orderId}')`);
    await server.db.query(`update work_orders set waits_for = null, due_cents = 0 where id = '${on.orderId}'`);
    const erased = await odile.post(`/api/customers/${row?.id}/erase`, { version: row?.version });
    expect(erased.status).toBe(200);
    expect(await ask(`select person, photos from agreed_copies where work_order_id = '${on.orderId}'`)).toEqual([{ person: null, photos: null }]);
    expect(await prove()).toEqual({ copies, found: [] });
  }); // prettier-ignore

  it.each<[string, string, string, string]>([
    ["a price", `update agreed_copies set facts = jsonb_set(facts, '{totalCents}', '1') where place = 2`, "facts", `place`],
    ["a name", `update agreed_copies set person = jsonb_set(person, '{name}', '"Another"') where place = 1`, "person", "place"],
    ["a salt", `update agreed_copies set salts = jsonb_set(salts, '{photos}', '"00"') where place = 1`, "photos", "place"],
    ["a link", `update agreed_copies set link = 'f' where place = 1`, "link", "place"],
    ["one in the middle gone", `delete from agreed_copies where place = 2`, "place", "place"],
    ["the end gone", `delete from agreed_copies where place = (select max(place) from agreed_copies)`, "end", "place"],
    ["the end gone, and where it ends with it", `delete from agreed_copies; delete from agreed_chains`, "missing", "number"],
    ["something that is no copy", `update agreed_copies set facts = '{}' where place = 1`, "unreadable", "place"],
    ["the work order", `update work_orders set state = jsonb_set(state, '{approvals,0,totalCents}', '1') where id in (select work_order_id from agreed_copies where place = 1)`, "state", "number"],
    ["the ledger", `update approvals set total_cents = 1 where id = (select agreed_id from agreed_copies where place = 1)`, "ledger", "number"],
  ])("names %s", async (_name, sql, fault, told) => {
    await server.db.query("create table kept_copies as select * from agreed_copies; create table kept_chains as select * from agreed_chains; create table kept_orders as select id, state from work_orders; create table kept_approvals as select * from approvals");
    try {
      await server.db.query(sql);
      const { found } = await prove();
      expect(found).toEqual([expect.objectContaining({ fault, [told]: expect.any(Number) as unknown })]);
    } finally {
      await server.db.query(`delete from agreed_copies; insert into agreed_copies select * from kept_copies; drop table kept_copies;
        delete from agreed_chains; insert into agreed_chains select * from kept_chains; drop table kept_chains;
        update work_orders w set state = k.state from kept_orders k where k.id = w.id; drop table kept_orders;
        update approvals a set total_cents = k.total_cents from kept_approvals k where k.id = a.id; drop table kept_approvals;`);
    }
    expect((await prove()).found).toEqual([]);
  }); // prettier-ignore
});
