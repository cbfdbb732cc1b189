import { BUSINESS } from "@mechanon/demo";
import { v7 as uuid } from "uuid";
import type { BusinessView, ChangeEvent, DayVisit, WorkOrderView } from "@mechanon/contract";
import { addDays, dayOf, instantAt } from "@mechanon/core";
import {
  findOrder,
  startTestServer,
  until,
  type HttpAnswer,
  type Outcomes,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

const ZONE = BUSINESS.timeZone;
const TODAY = dayOf(new Date().toISOString(), ZONE);
const FREE_DAY = addDays(TODAY, 5);
const place = {
  street: "3 Ebb Court",
  town: "Larkhaven",
  region: "WA",
  postcode: "98099",
  latitude: null,
  longitude: null,
};

let server: TestServer;
let odile: TestPerson;
let mechanicId: string;
let orderId: string;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  mechanicId =
    (await odile.get<BusinessView>("/api/business")).body.people.find(({ name }) => name === "Odile Farrow")?.id ?? "";
  orderId = (await findOrder(odile, "Caspian")).id;
});
afterAll(() => server?.stop());

type Sent = HttpAnswer<{
  outcomes: { outcome: string; refusal: string | null }[];
  code: string;
  visit: { mechanicId: string } | null;
}>;
const send = (visitId: string, command: object, id = uuid()): Promise<Sent> =>
  odile.post(`/api/visits/${visitId}/commands`, { commands: [{ id, at: new Date().toISOString(), command }] });
const book = (from: number, to: number, over: object = {}): object => ({
  type: "bookVisit",
  workOrderIds: [orderId],
  mechanicId,
  place,
  startsAt: instantAt(FREE_DAY, from, ZONE),
  endsAt: instantAt(FREE_DAY, to, ZONE),
  note: "",
  allowOverlap: false,
  ...over,
});

it("books a visit, and what waited for a time waits for work", async () => {
  expect((await findOrder(odile, "Caspian")).waitsFor).toBe("time");
  expect((await send(uuid(), book(540, 600))).body.outcomes).toMatchObject([{ outcome: "applied" }]);
  expect((await findOrder(odile, "Caspian")).waitsFor).toBe("work");
});

it("warns of a busy mechanic, books on purpose, and lets visits touch", async () => {
  expect((await send(uuid(), book(570, 630))).body.outcomes).toMatchObject([
    { outcome: "refused", refusal: "visit/overlaps" },
  ]);
  expect((await send(uuid(), book(570, 630, { allowOverlap: true }))).body.outcomes).toMatchObject([
    { outcome: "applied" },
  ]);
  expect((await send(uuid(), book(630, 660))).body.outcomes).toMatchObject([{ outcome: "applied" }]);
});

it.each([
  ["a work order that is not there", { workOrderIds: [uuid()] }, "visit/no-work-order"],
  ["somebody who does not drive", { mechanicId: uuid() }, "visit/no-mechanic"],
])("refuses %s", async (_name, over, code) => {
  expect((await send(uuid(), book(800, 860, over))).body.outcomes).toMatchObject([{ refusal: code }]);
});

it("refuses a time that ends before it starts", async () => {
  expect((await send(uuid(), book(860, 800))).body.outcomes).toMatchObject([{ refusal: "visit/ends-before-start" }]);
});

it("tells the customer once that the mechanic is on the way, and lists the day in the business's zone", async () => {
  const visitId = uuid();
  expect((await send(visitId, book(1380, 1439))).body.outcomes).toMatchObject([{ outcome: "applied" }]);
  const setOff = uuid();
  for (let again = 0; again < 3; again++)
    await send(visitId, { type: "setOff", driveMinutes: 14 }, again === 2 ? uuid() : setOff);
  const onTheWay = async (): Promise<{ to: string; text: string }[]> =>
    (await server.sentMessages()).filter(({ text }) => text.includes("on the way"));
  const [first, ...others] = await until(onTheWay, (messages) => messages.length > 0);
  expect([first?.to, others]).toEqual(["+13605550118", []]);
  expect(first?.text).toMatch(
    /^Larkhaven Driveway Garage: Odile is on the way and will be with you in about 14 minutes\. http\S+\/c\/[\w-]+$/,
  );
  const day = await odile.get<{ visits: DayVisit[] }>(`/api/day?date=${FREE_DAY}`);
  expect(day.body.visits.map(({ visit }) => visit.id)).toContain(visitId);
  expect((await odile.get<{ visits: DayVisit[] }>(`/api/day?date=${addDays(FREE_DAY, 1)}`)).body.visits).toEqual([]);
});

it("looks for other visits of a mechanic in an index, however many there are", async () => {
  const { db } = server;
  const plan = await until(
    () =>
      db.transaction(async (transaction) => {
        // So small a table would be read through.
        await db.query("set local enable_seqscan = off", { transaction });
        await db.query("set local enable_indexscan = on", { transaction });
        const [rows] = await db.query(
          `explain select from visits where business_id = '${uuid()}' and mechanic_id = '${mechanicId}'
             and tstzrange(starts_at, ends_at) && tstzrange(now(), now() + interval '1 hour')
             and not cancelled and left_at is null and state->>'leftAt' is null`,
          { transaction },
        );
        return JSON.stringify(rows);
      }),
    (text) => text.includes("visits_busy"),
  );
  expect(plan).not.toContain("Seq Scan");
});

it("hears at once of what others change", async () => {
  const controller = new AbortController();
  const response = await fetch(`${server.running.url}/api/events`, {
    headers: { Cookie: odile.cookie },
    signal: controller.signal,
  });
  const reader = response.body?.getReader();
  let heard = "";
  const listening = (async () => {
    while (!heard.includes('"workOrderIds"')) heard += new TextDecoder().decode((await reader?.read())?.value);
  })();
  const answer = await odile.post<Outcomes>(`/api/work-orders/${orderId}/commands`, {
    commands: [
      { id: uuid(), at: new Date().toISOString(), command: { type: "recordPressures", frontPsi: 36, rearPsi: 34 } },
    ],
  });
  expect(answer.body.outcomes).toMatchObject([{ outcome: "applied" }]);
  const concern = { type: "addConcern", concernId: uuid(), text: "Hums", kind: "fault", phraseId: null };
  await odile.post(`/api/work-orders/${orderId}/commands`, {
    commands: [{ id: uuid(), at: new Date().toISOString(), command: concern }],
  });
  await send(uuid(), book(700, 730));
  await listening;
  const events = [...heard.matchAll(/^data: (.*)$/gm)].map(([, text = ""]) => JSON.parse(text) as ChangeEvent);
  const order = await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`);
  // What no list shows asks no list again; what one does, does.
  const orders = events.filter(({ kind }) => kind === "workOrder");
  expect(orders.map(({ isListed }) => isListed)).toEqual([false, true]);
  expect(orders[0]).toMatchObject({
    id: orderId,
    customerIds: expect.arrayContaining([order.body.customer?.id]) as unknown,
    vehicleIds: expect.arrayContaining([order.body.vehicle?.id]) as unknown,
  });
  const booked = events.find(({ kind }) => kind === "visit");
  expect(booked).toMatchObject({ workOrderIds: [orderId], startsAt: [expect.stringMatching(/Z$/)] });
  controller.abort();
});
