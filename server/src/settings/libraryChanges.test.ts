import type { LibraryJob } from "@mechanon/core";
import type { LibraryChange, LibraryView } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const library = async (): Promise<LibraryJob[]> => (await odile.get<LibraryView>("/api/library")).body.library;
const jobOf = async (id: string): Promise<LibraryJob> => {
  const job = (await library()).find((each) => each.id === id);
  if (!job) throw new Error(`${id} is gone`);
  return job;
};
const change = (from: LibraryJob | null, to: LibraryJob | null, who = odile) =>
  who.send<{ code: string }>("PATCH", "/api/library/jobs", { changes: [{ from, to }] });
const changes = async (): Promise<LibraryChange[]> =>
  (await odile.get<{ changes: LibraryChange[] }>("/api/library/changes")).body.changes;
const undo = (id: string) => odile.post<{ code: string }>(`/api/library/changes/${id}/undo`, {});

it("two owners at once: changes of two jobs both stand, of one job the first", async () => {
  const [pads, wipers] = [await jobOf("front-pads"), await jobOf("wipers")];
  const answers = await Promise.all([
    change(pads, { ...pads, title: "Pads, one" }),
    change(pads, { ...pads, title: "Pads, two" }),
    change(wipers, { ...wipers, title: "Wipers, ours" }),
  ]);
  expect(answers.map(({ status }) => status).sort()).toEqual([204, 204, 409]);
  expect((await jobOf("wipers")).title).toBe("Wipers, ours");
  const { title } = await jobOf("front-pads");
  expect(["Pads, one", "Pads, two"]).toContain(title);
  const refused = await change(pads, { ...pads, title: "Pads, three" });
  expect(refused.body.code).toBe("version/changed");
  // Sent again after a lost answer it is what it is, and no other change.
  const before = (await changes()).length;
  expect((await change(pads, { ...pads, title })).status).toBe(204);
  expect((await changes()).length).toBe(before);
});

it("says who changed what when; a change is taken back, and that again", async () => {
  const before = await jobOf("battery");
  await change(before, { ...before, title: "Battery, ours" });
  const [last] = await changes();
  expect(last).toMatchObject({ by: "Odile Farrow", title: "Battery, ours", kind: "changed" });
  expect(Math.abs(Date.parse(last?.at ?? "") - Date.now())).toBeLessThan(600_000);
  expect((await undo(last?.id ?? "")).status).toBe(204);
  expect(await jobOf("battery")).toEqual(before);
  const [taken] = await changes();
  expect((await undo(last?.id ?? "")).status).toBe(204);
  expect((await changes())[0]).toEqual(taken);
  await undo(taken?.id ?? "");
  expect((await jobOf("battery")).title).toBe("Battery, ours");
});

it("brings back a job that was taken out; not where it was changed again since", async () => {
  const before = await jobOf("wipers");
  await odile.send("DELETE", "/api/library/jobs/wipers");
  const [out] = await changes();
  expect(out).toMatchObject({ kind: "removed", title: before.title });
  await undo(out?.id ?? "");
  expect(await jobOf("wipers")).toEqual(before);
  await change(before, { ...before, title: "Once" });
  const [once] = await changes();
  await change({ ...before, title: "Once" }, { ...before, title: "Twice" });
  expect((await undo(once?.id ?? "")).body.code).toBe("version/changed");
  expect((await undo(uuid())).body.code).toBe("library/no-such-change");
});

it("refuses what cannot be kept, and who may not see cost or change settings", async () => {
  const job = await jobOf("battery");
  const [line] = job.lines;
  if (!line) throw new Error("no line");
  const twice = await change(job, { ...job, lines: [line, line] });
  expect([twice.status, twice.body.code]).toEqual([422, "library/does-not-fit"]);
  const tomas = await server.signIn("tomas");
  expect((await change(job, { ...job, title: "Mine" }, tomas)).status).toBe(403);
  await server.db.query("update people set rights = '{settings}' where login = 'wren'");
  const wren = await server.signIn("wren");
  expect((await change(job, { ...job, title: "Mine" }, wren)).body.code).toBe("rights/missing");
  expect((await jobOf("battery")).title).toBe(job.title);
});

it("tells the commonest jobs, and those a person used last; what was refused and what is gone is none", async () => {
  const usage = async (who: TestPerson) =>
    (await who.get<{ common: string[]; last: string[] }>("/api/library/usage")).body;
  const tomas = await server.signIn("tomas");
  const add = async (who: TestPerson, libraryJobId: string): Promise<void> => {
    const job = (await library()).find(({ id }) => id === libraryJobId);
    const command = (over: object) => ({ id: uuid(), at: new Date().toISOString(), command: over });
    await who.post(`/api/work-orders/${uuid()}/commands`, {
      commands: [
        command({ type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] }),
        command({
          type: "addJob",
          jobId: uuid(),
          libraryJobId,
          lineIds: job?.lines.map(() => uuid()) ?? [],
          concernId: null,
          pointIds: [],
        }),
      ],
    });
  };
  const before = await usage(odile);
  for (const id of ["muffler", "muffler", "muffler", "muffler", "muffler", "no-such-job"]) await add(tomas, id);
  await add(tomas, "window-regulator");
  const [mine, theirs] = [await usage(odile), await usage(tomas)];
  expect(mine.common[0]).toBe("muffler");
  expect(theirs.last.slice(0, 2)).toEqual(["window-regulator", "muffler"]);
  expect(mine.last).toEqual(before.last);
  await odile.send("DELETE", "/api/library/jobs/muffler");
  expect((await usage(odile)).common).not.toContain("muffler");
});
