import { v7 as uuid } from "uuid";
import { LIST_LIMITS, NO_FACTS, type LibraryJob } from "@mechanon/core";
import type { LibraryFileAnswer, LibraryView, WorkOrderView } from "@mechanon/contract";
import { startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let orderId: string;
const jobId = uuid();
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  orderId = uuid();
  await give({ type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] });
});
afterAll(() => server?.stop());

const give = (command: object) =>
  odile.post<{ results: { status: string }[] }>(`/api/work-orders/${orderId}/commands`, {
    commands: [{ id: uuid(), at: new Date().toISOString(), command }],
  });
const library = async (who = odile): Promise<LibraryView> => (await who.get<LibraryView>("/api/library")).body;
const keep = (id: string, over: object = {}) =>
  odile.post<LibraryJob & { code: string }>("/api/library/jobs", {
    id,
    workOrderId: orderId,
    jobId,
    title: "Oil, ours",
    area: "Service",
    ...over,
  });

it("fits a job to the car by the facts it is sent with, hours by the guide", async () => {
  const { library: jobs } = await library();
  const oil = jobs.find(({ id }) => id === "oil-service");
  const facts = {
    ...NO_FACTS,
    vehicleClass: { value: "pickup", from: "specSheet" },
    power: { value: "gasoline", from: "car" },
    specs: { oilCapacityQuarts: { value: "7.7", from: "specSheet" }, oilGrade: { value: "5W-30", from: "mechanic" } },
  };
  const lineIds = oil?.lines.map(() => uuid()) ?? [];
  const fit = { facts, positions: [], variantId: "long-life" };
  await give({ type: "addJob", jobId, libraryJobId: "oil-service", lineIds, concernId: null, pointIds: [], fit });
  const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`);
  expect(body.state.jobs[0]?.lines).toMatchObject([
    { kind: "labor", sources: [{ of: "hours", from: "guide" }], operations: ["oilAndFilter"] },
    { description: "Oil, quart, 5W-30", quantity: 7.7, partNumber: "KL-530Q" },
    { description: "Oil filter, long-life" },
    { kind: "fee" },
  ]);
});

it("keeps a job of a work order for the next car, once however often it is sent", async () => {
  const before = await library();
  const id = uuid();
  const [first, again] = await Promise.all([keep(id), keep(id)]);
  expect([first.status, again.status]).toEqual([200, 200]);
  const { library: after, version } = await library();
  expect(after.length).toBe(before.library.length + 1);
  expect(version).toBeGreaterThan(before.version);
  expect(after.at(-1)).toMatchObject({
    id,
    title: "Oil, ours",
    fits: [{ operations: ["oilAndFilter"] }, { count: { by: "spec", key: "oilCapacityQuarts" }, spec: "oilGrade" }],
  });
});

it("tells no cost of any grade or quality to who may not see cost, and a price instead", async () => {
  const { library: told } = await library(await server.signIn("wren"));
  const parts = told.flatMap(({ lines, fits, variants }) => [
    ...lines.filter((line) => line.kind === "part"),
    ...fits.flatMap(({ grades }) => grades),
    ...variants.flatMap((variant) => variant.parts),
  ]);
  expect(parts.length).toBeGreaterThan(50);
  expect(parts.filter(({ costCents, priceCents }) => costCents !== null || !priceCents)).toEqual([]);
});

it("keeps all jobs of a work order as a whole order; a job of its own comes to the library with it", async () => {
  await give({ type: "addOwnJob", jobId: uuid(), title: "Squeak", concernId: null });
  const { length } = (await library()).library;
  const id = uuid();
  const first = await keep(id, { jobId: null, title: "Friday's order" });
  expect(first.body).toMatchObject({
    id,
    lines: [],
    brings: [{ libraryJobId: "oil-service", variantId: "long-life" }, {}],
  });
  expect((await keep(id, { jobId: null, title: "Friday's order" })).body).toEqual(first.body);
  const after = (await library()).library;
  expect(after.length).toBe(length + 2);
  expect(after.at(-2)).toMatchObject({ id: first.body.brings[1]?.libraryJobId, title: "Squeak" });
});

it("of two kept at one moment each has its place", async () => {
  await Promise.all([keep(uuid(), { title: "One" }), keep(uuid(), { title: "Two" }), keep(uuid(), { title: "Three" })]);
  const titles = (await library()).library.slice(-3).map(({ title }) => title);
  expect(titles.sort()).toEqual(["One", "Three", "Two"]);
});

it("is told where the job is gone, and refuses who may not", async () => {
  expect((await keep(uuid(), { jobId: uuid() })).body.code).toBe("library/no-such-job");
  const wren = await server.signIn("wren");
  const { status } = await wren.post("/api/library/jobs", {
    id: uuid(),
    workOrderId: orderId,
    jobId,
    title: "x",
    area: "y",
  });
  expect(status).toBe(403);
});

it("comes out and in as a table, too; nothing of how it fits itself is lost", async () => {
  const table = await odile.get<string>("/api/library/jobs.csv");
  expect(String(table.body)).toMatch(/^Job,Title,Area,Kind,Line,Amount/);
  const bring = (text: string) => odile.post<LibraryFileAnswer>("/api/library/file", { text, isDry: false });
  const before = (await library()).library;
  expect((await bring(`\uFEFF${table.body}`)).body).toMatchObject({ added: 0, changed: 0, faults: [] });
  expect((await library()).library).toEqual(before);
  const added = "Line,Job,Title,Area,Kind,Amount,Price\n'=Hook,tow-hook,Tow hook,Body,fee,1,40\n";
  expect((await bring(added)).body).toEqual({ added: 1, changed: 0, same: 0, faults: [] });
  expect((await library()).library.at(-1)).toMatchObject({ id: "tow-hook", lines: [{ description: "=Hook" }] });
  const open = await bring('Job,Title,Area,Kind,Line,Amount\n"a,b,c,labor,d,1\n');
  expect(open.body).toMatchObject({ added: 0, faults: [{ row: 0 }] });
  await odile.send("DELETE", "/api/library/jobs/tow-hook");
});

describe("as a file", () => {
  const bringIn = (text: string, isDry: boolean) =>
    odile.post<LibraryFileAnswer & { code: string }>("/api/library/file", { text, isDry });
  const taken = async (): Promise<string> => JSON.stringify((await odile.get("/api/library/jobs.json")).body);
  it("comes out and in again as it is; only tried it changes nothing", async () => {
    const text = await taken();
    const { length } = (await library()).library;
    expect((await bringIn(text, false)).body).toEqual({ added: 0, changed: 0, same: length, faults: [] });
    const { jobs } = JSON.parse(text) as { jobs: LibraryJob[] };
    const [first] = jobs;
    if (!first) throw new Error("no job");
    const other = JSON.stringify({
      version: 1,
      jobs: [{ ...first, title: "Otherwise" }, { ...first, id: "new" }, { title: "Half" }],
    });
    const { version } = await library();
    const dry = (await bringIn(other, true)).body;
    expect(dry).toMatchObject({ added: 1, changed: 1, same: 0, faults: [{ row: 3, title: "Half" }] });
    expect((await library()).version).toBe(version);
    expect((await bringIn(other, false)).body).toEqual(dry);
    const after = (await library()).library;
    expect([after[0]?.title, after.at(-1)?.id, after.length]).toEqual(["Otherwise", "new", length + 1]);
    expect((await bringIn(other, false)).body).toMatchObject({ added: 0, changed: 0, same: 2 });
  });
  it("holds no more than its most, and is none of who may not see cost", async () => {
    const { jobs } = JSON.parse(await taken()) as { jobs: LibraryJob[] };
    const many = Array.from({ length: LIST_LIMITS.libraryJobs }, (_, index) => ({
      ...jobs[0],
      id: `many-${index}`,
      fits: [],
      variants: [],
    }));
    expect((await bringIn(JSON.stringify({ version: 1, jobs: many }), false)).body.code).toBe("list/too-long");
    expect((await (await server.signIn("tomas")).get("/api/library/jobs.json")).status).toBe(403);
  });
});

it("takes a job out; the quote keeps what it was given", async () => {
  expect((await odile.send("DELETE", "/api/library/jobs/oil-service")).status).toBe(204);
  expect((await odile.send("DELETE", "/api/library/jobs/oil-service")).status).toBe(204);
  expect((await library()).library.some(({ id }) => id === "oil-service")).toBe(false);
  const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`);
  expect(body.state.jobs[0]?.lines).toHaveLength(4);
});
