import { BUSINESS } from "@mechanon/demo";
import { v7 as uuid } from "uuid";
import { addDays, dayOf, instantAt, type VisitState } from "@mechanon/core";
import type { BusinessView, MoveAsk, NewTime } from "@mechanon/contract";
import { bookingOf, sendToVisit } from "../../testing/booking";
import { sendCommand, startTestServer, until, type TestPerson, type TestServer } from "../../testing/testServer";

const ZONE = BUSINESS.timeZone;
const TOMORROW = addDays(dayOf(new Date().toISOString(), ZONE), 1);

let server: TestServer;
let odile: TestPerson;
const stops: { visitId: string; workOrderId: string; needsDry: boolean }[] = [];
interface Asked {
  asks: MoveAsk[];
  without: unknown[];
}

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  await server.db.query(
    "update visits set cancelled = true, state = state || jsonb_build_object('cancelledAt', now()) where set_off_at is null",
  );
  const { people } = (await odile.get<BusinessView>("/api/business")).body;
  const mechanics = people.filter(({ isMechanic }) => isMechanic);
  const job = {
    id: "dry-work",
    title: "Seal a sunroof",
    area: "Body",
    curesPoints: [],
    answersConcerns: ["sunroof-leaks"],
    lines: [],
    needs: { skill: null, carries: null, place: ["dry"], rights: [] },
  };
  expect((await odile.send("PATCH", "/api/library/jobs", { changes: [{ from: null, to: job }] })).status).toBe(204);
  const [rows] = await server.db.query(
    "select v.id as vehicle, v.customer_id as customer from vehicles v join customers c on c.business_id = v.business_id and c.id = v.customer_id where c.details->'phones'->0 is not null and coalesce(c.details->'textConsent'->>'given', 'true') = 'true' order by v.id limit 1",
  );
  const [{ vehicle, customer } = { vehicle: "", customer: "" }] = rows as { vehicle: string; customer: string }[];
  for (let index = 0; index < 12; index += 1) {
    const [workOrderId, visitId, needsDry] = [uuid(), uuid(), index < 7];
    const concern = { id: uuid(), text: "x", kind: "fault", phraseId: needsDry ? "sunroof-leaks" : null };
    const opened = await sendCommand(odile, workOrderId, {
      type: "openWorkOrder",
      customerId: customer,
      vehicleId: vehicle,
      concerns: [concern],
    });
    expect(opened.body.outcomes).toMatchObject([{ outcome: "applied" }]);
    const startsAt = instantAt(TOMORROW, (8 + Math.floor(index / 2)) * 60, ZONE);
    const time = {
      mechanicId: mechanics[index % 2]?.id ?? "",
      startsAt,
      endsAt: new Date(Date.parse(startsAt) + 45 * 60_000).toISOString(),
    };
    const { outcomes } = await sendToVisit(odile, visitId, bookingOf(workOrderId, time));
    expect(outcomes).toMatchObject([{ outcome: "applied" }]);
    stops.push({ visitId, workOrderId, needsDry });
  }
  await server.fault("weather", "wetTwoDays");
});
afterAll(() => server?.stop());

const ask = async (): Promise<Asked> => (await odile.post<Asked>("/api/move-asks", { date: TOMORROW })).body;
const visitOf = async (index: number): Promise<VisitState | undefined> => {
  const { workOrderId } = stops[index] ?? { workOrderId: "" };
  return (await odile.get<{ visits: VisitState[] }>(`/api/work-orders/${workOrderId}`)).body.visits[0];
};
const askOf = (asks: MoveAsk[], index: number): MoveAsk => {
  const found = asks.find(({ visitId }) => visitId === stops[index]?.visitId);
  if (!found) throw new Error(`stop ${index} was not asked`);
  return found;
};
const linkIn = ({ message }: MoveAsk): string => /\/t\/([\w-]+)/.exec(message)?.[1] ?? "";

it("finds seven held times for the seven of twelve stops that need it dry, and writes seven messages", async () => {
  await odile.post(`/api/visits/${stops[6]?.visitId}/commands`, { commands: [{ id: uuid(), at: new Date().toISOString(), command: { type: "lockVisit", isLocked: true } }] }); // prettier-ignore
  expect((await ask()).asks).toHaveLength(6);
  await sendToVisit(odile, stops[6]?.visitId ?? "", { type: "lockVisit", isLocked: false });
  const { asks, without } = await ask();
  expect([asks.length, without.length]).toEqual([7, 0]);
  expect(new Set(asks.map(({ visitId }) => visitId))).toEqual(
    new Set(stops.filter(({ needsDry }) => needsDry).map(({ visitId }) => visitId)),
  );
  expect(asks.filter(({ sentAt }) => sentAt !== null)).toEqual([]);
  for (const one of asks) {
    expect(dayOf(one.startsAt, ZONE) > TOMORROW).toBe(true);
    for (const other of asks)
      if (one !== other && one.mechanicId === other.mechanicId)
        expect(one.startsAt >= other.endsAt || one.endsAt <= other.startsAt).toBe(true);
  }
  const sent = await odile.post<Asked>("/api/move-asks/sent", { ids: asks.map(({ id }) => id) });
  await odile.post("/api/move-asks/sent", { ids: asks.map(({ id }) => id) });
  expect(sent.body.asks.every(({ sentAt }) => sentAt !== null)).toBe(true);
  const messages = async (): Promise<number> => {
    const [rows] = await server.db.query(
      "select count(*)::int as count from messages where status = 'sent' and text like '%dry%'",
    );
    return (rows as { count: number }[])[0]?.count ?? 0;
  };
  expect(await until(messages, (count) => count === 7)).toBe(7);
});

it("moves whoever says yes by the link, leaves whoever says no, and takes each word once", async () => {
  const { asks } = await ask();
  expect(asks).toHaveLength(7);
  const [yes, no] = [askOf(asks, 0), askOf(asks, 1)];
  const page = `/api/public/new-times/${linkIn(yes)}`;
  const customer = server.stranger();
  expect((await customer.get<NewTime>(page)).body).toMatchObject({
    startsAt: yes.startsAt,
    answer: null,
    isOver: false,
  });
  const both = await Promise.all([
    customer.post<NewTime>(page, { answer: "yes" }),
    customer.post<NewTime>(page, { answer: "yes" }),
  ]);
  expect(both.map(({ status }) => status)).toEqual([200, 200]);
  expect(await visitOf(0)).toMatchObject({ startsAt: yes.startsAt, mechanicId: yes.mechanicId });
  expect((await customer.post<{ code: string }>(page, { answer: "no" })).body.code).toBe("ask/over");
  expect((await customer.post<NewTime>(`/api/public/new-times/${linkIn(no)}`, { answer: "no" })).body.answer).toBe(
    "no",
  );
  expect(await visitOf(1)).toMatchObject({ startsAt: no.fromStartsAt });
  expect((await customer.get<{ code: string }>(`/api/public/new-times/${"x".repeat(30)}`)).body.code).toBe(
    "ask/not-found",
  );
});

it("takes a word on the phone from whoever is silent, and lists them until then", async () => {
  const silent = askOf((await ask()).asks, 2);
  expect(silent.answer).toBeNull();
  const { asks } = (await odile.post<Asked>(`/api/move-asks/${silent.id}/answer`, { answer: "yes" })).body;
  expect(askOf(asks, 2).answer).toBe("yes");
  expect(await visitOf(2)).toMatchObject({ startsAt: silent.startsAt });
});

it("asks nobody further whose visit was moved or whose hour is over, and says so by the link", async () => {
  const { asks } = await ask();
  const [moved, late] = [askOf(asks, 3), askOf(asks, 4)];
  await sendToVisit(odile, moved.visitId, { type: "cancelVisit", why: "customer", words: "" });
  const customer = server.stranger();
  expect((await customer.get<NewTime>(`/api/public/new-times/${linkIn(moved)}`)).body.isOver).toBe(true);
  expect(
    (await customer.post<{ code: string }>(`/api/public/new-times/${linkIn(moved)}`, { answer: "yes" })).body.code,
  ).toBe("ask/over");
  await server.db.query(`update move_asks set answer_by = now() - interval '1 minute' where id = '${late.id}'`);
  expect(
    (await customer.post<{ code: string }>(`/api/public/new-times/${linkIn(late)}`, { answer: "yes" })).body.code,
  ).toBe("ask/over");
  // On the phone it can be settled still.
  expect((await odile.post<Asked>(`/api/move-asks/${late.id}/answer`, { answer: "yes" })).status).toBe(200);
});

it("says for which stops there is no dry time", async () => {
  await server.fault("weather", "wet");
  const day = addDays(TOMORROW, 4);
  const [stop, mechanics] = [stops[5], (await odile.get<BusinessView>("/api/business")).body.people];
  const mechanicId = mechanics.find(({ isMechanic }) => isMechanic)?.id ?? "";
  const time = { mechanicId, startsAt: instantAt(day, 20 * 60, ZONE), endsAt: instantAt(day, 21 * 60, ZONE) };
  await sendToVisit(odile, uuid(), bookingOf(stop?.workOrderId ?? "", time));
  const { without } = (await odile.post<Asked>("/api/move-asks", { date: day })).body;
  expect(without).toHaveLength(1);
});
