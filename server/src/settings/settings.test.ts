import { v7 as uuid } from "uuid";
import { LIST_LIMITS, laborSettingsOf } from "@mechanon/core";
import type { BusinessView, LibraryView } from "@mechanon/contract";
import { startTestServer, type HttpAnswer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const business = async (who = odile): Promise<BusinessView> => (await who.get<BusinessView>("/api/business")).body;
const phrase = (text: string): object => ({ id: uuid(), text, kind: "fault", area: "Engine" });

type Saved = HttpAnswer<{ code: string } & BusinessView["settings"]>;
const save = (list: string, body: object): Promise<Saved> => odile.send("PATCH", `/api/business/${list}`, body);

it("is changed by item: what others changed of the list meanwhile stays, the same item is in the way", async () => {
  const { versions, concerns } = (await business()).settings;
  const tomas = await server.signIn("tomas");
  await tomas.post("/api/business/concerns", phrase("Squeals when reversing"));
  const [first, second] = concerns;
  if (!first || !second) throw new Error("the demo has phrases");
  const change = (text: string) => ({
    version: versions.concerns,
    concerns: [
      { from: first, to: { ...first, text } },
      { from: second, to: null },
    ],
    concernGaps: [{ from: null, to: { name: "side", choices: ["left", "right"] } }],
  });
  const { body: saved } = await save("concerns", change("Pulls to a side"));
  const texts = saved.concerns.map(({ text }) => text);
  expect(texts[0]).toBe("Pulls to a side");
  expect(texts).toContain("Squeals when reversing");
  expect(saved.concerns.map(({ id }) => id)).not.toContain(second.id);
  expect(saved.concernGaps.at(-1)).toEqual({ name: "side", choices: ["left", "right"] });
  // Sent again after a lost answer it is what it is; changed otherwise from what it was then, it is refused.
  expect((await save("concerns", change("Pulls to a side"))).body.concerns).toEqual(saved.concerns);
  const before = (await business()).settings;
  expect((await save("concerns", change("Drifts"))).body).toMatchObject({ status: 409, code: "version/changed" });
  expect((await business()).settings).toEqual(before);
  // The same phrase once more is not another change of the list.
  await tomas.post("/api/business/concerns", phrase("squeals when reversing"));
  expect((await business()).settings.versions).toEqual({ ...versions, concerns: versions.concerns + 3 });
});

it("of two changes of one thing at one moment the first stands, of two things both", async () => {
  const { versions, newcomers } = (await business()).settings;
  const ways = (way: string) =>
    save("newcomers", {
      version: versions.newcomers,
      foundUsBy: [{ from: newcomers.foundUsBy, to: [way] }],
      questions: [],
    });
  const ask = (id: string) =>
    save("newcomers", {
      version: versions.newcomers,
      foundUsBy: [],
      questions: [{ from: null, to: { id, text: `Why ${id}?`, choices: [] } }],
    });
  const answers = await Promise.all([ways("A"), ways("B"), ways("C"), ask("one"), ask("two")]);
  const statuses = answers.map(({ status }) => status);
  expect([statuses.slice(0, 3).sort(), statuses.slice(3)]).toEqual([
    [200, 409, 409],
    [200, 200],
  ]);
  const ids = (await business()).settings.newcomers.questions.map(({ id }) => id);
  expect(ids).toEqual(expect.arrayContaining(["one", "two"]));
});

it("holds no more than its most", async () => {
  const { versions, intervals } = (await business()).settings;
  const add = (count: number) =>
    save("intervals", {
      version: versions.intervals,
      intervals: Array.from({ length: count }, (_, n) => ({
        from: null,
        to: { id: `more-${n}`, title: `Service ${n}`, miles: 5000, months: null, jobIds: [] },
      })),
    });
  expect((await add(LIST_LIMITS.intervals + 1 - intervals.length)).body).toMatchObject({ code: "list/too-long" });
  expect((await add(LIST_LIMITS.intervals - intervals.length)).body.intervals).toHaveLength(LIST_LIMITS.intervals);
});

it("is seen by another server at once, and the library only when it is another", async () => {
  const second = await server.startSecond();
  const there = await server.signIn("odile", second.url);
  const before = await business(there);
  await odile.post("/api/business/concerns", phrase("Clicks at idle"));
  expect((await business(there)).settings.concerns.map(({ text }) => text)).toContain("Clicks at idle");
  expect((await business(there)).libraryVersion).toBe(before.libraryVersion);
  await server.db.query("update library_jobs set job = job || '{\"title\":\"Renamed\"}' where id = 'diagnosis'");
  expect((await business(there)).libraryVersion).toBe(before.libraryVersion + 1);
  const { library, version } = (await there.get<LibraryView>("/api/library")).body;
  expect(version).toBe(before.libraryVersion + 1);
  expect(library.find(({ id }) => id === "diagnosis")?.title).toBe("Renamed");
});

it("gives no cost of the library to who may not see it", async () => {
  const wren = await server.signIn("wren");
  const { body } = await wren.get<LibraryView>("/api/library");
  expect(body.library.length).toBeGreaterThan(10);
  expect(JSON.stringify(body)).not.toMatch(/"costCents":\d|"wageCents":\d|"paidHours":\d/);
});

it("rates are changed whole, by whoever may; a work order keeps the rates it was opened with", async () => {
  const { settings } = await business();
  const before = laborSettingsOf(settings.rules);
  const body = { version: settings.versions.labor, labor: [{ from: before, to: { ...before, laborRateCents: 14_100, workHours: null } }] }; // prettier-ignore
  const tomas = await server.signIn("tomas");
  expect((await tomas.send("PATCH", "/api/business/labor", body)).status).toBe(403);
  expect((await save("labor", body)).body).toMatchObject({ laborRateCents: 14_100, workHours: null });
  const { rules, versions } = (await business()).settings;
  expect([rules.laborRateCents, rules.workHours, versions.labor]).toEqual([14_100, undefined, body.version + 1]);
  const other = [{ from: before, to: { ...before, laborRateCents: 1 } }];
  expect((await save("labor", { ...body, labor: other })).body).toMatchObject({ code: "version/changed" });
  const double = { ...before, rates: [...before.rates, ...before.rates] };
  expect((await save("labor", { ...body, labor: [{ from: before, to: double }] })).status).toBe(422);
});

it("how people are paid is changed person by person, and told to nobody who may not see cost", async () => {
  const { settings, people } = await business();
  const [first] = people;
  const mine = { personId: first?.id ?? "", by: "commission", percent: 40 };
  const body = { version: settings.versions.pay, pay: [{ from: null, to: mine }] };
  expect((await save("pay", body)).body).toEqual({ pay: [mine] });
  expect((await business()).settings.rules.pay).toEqual([mine]);
  const wren = await server.signIn("wren");
  expect((await business(wren)).settings.rules.pay).toBeUndefined();
  await server.db.query("update people set rights = '{settings}' where login = 'wren'");
  const owns = await server.signIn("wren");
  expect((await owns.send("PATCH", "/api/business/pay", body)).status).toBe(403);
  expect((await save("pay", { ...body, pay: [{ from: null, to: { ...mine, percent: 101 } }] })).status).toBe(422);
});
