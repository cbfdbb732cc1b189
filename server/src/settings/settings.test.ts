import { v7 as uuid } from "uuid";
import type { BusinessView, LibraryView } from "@mechanon/contract";
import { startTestServer, type Person, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: Person;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const business = async (who = odile): Promise<BusinessView> => (await who.get<BusinessView>("/api/business")).body;
const phrase = (text: string): object => ({ id: uuid(), text, kind: "fault", area: "Engine" });

it("keeps a phrase that a mechanic kept while the owner's list was open: the older list is refused", async () => {
  const { settings } = await business();
  const tomas = await server.signIn("tomas");
  await tomas.post("/api/business/concerns", phrase("Squeals when reversing"));
  const { concerns, concernGaps, versions } = settings;
  const save = (version: number, list: object[]) =>
    odile.send<{ code: string; detail: string }>("PATCH", "/api/business/concerns", {
      version,
      concerns: list,
      concernGaps,
    });
  const refused = await save(versions.concerns, concerns);
  expect(refused.body).toMatchObject({ status: 409, code: "version/changed" });
  const now = (await business()).settings;
  expect(now.concerns.map(({ text }) => text)).toContain("Squeals when reversing");
  expect((await save(now.versions.concerns, now.concerns)).status).toBe(200);
  // Another list is not in the way, nor the same phrase once more.
  await tomas.post("/api/business/concerns", phrase("squeals when reversing"));
  const after = (await business()).settings.versions;
  expect(after).toEqual({ ...now.versions, concerns: now.versions.concerns + 1 });
});

it("is changed once by two owners' devices at once", async () => {
  const { versions } = (await business()).settings;
  const save = (answer: string) =>
    odile.send("PATCH", "/api/business/newcomers", { version: versions.newcomers, foundUsBy: [answer], questions: [] });
  const answers = await Promise.all([save("A"), save("B"), save("C")]);
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
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
