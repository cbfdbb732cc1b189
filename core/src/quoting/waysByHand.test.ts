import { askedCents } from "../approvals/yesChange";
import { USUAL_PAPERS } from "../papers/paperSettings";
import { shownQuoteOf } from "../customerPage/shownQuoteOf";
import { POINTS, run, start } from "../testing/sampleWorkOrder";
import type { WorkOrderState } from "../workOrders/state";

const id = (n: number): string => `01900000-0000-7000-8000-${String(n).padStart(12, "0")}`;
const JOB = id(1);
const WITH = { points: POINTS, before: [], specs: {}, checksums: new Map<string, string>(), papers: USUAL_PAPERS };
const typed = (): WorkOrderState =>
  run(run(start(), { type: "addOwnJob", jobId: JOB, title: "Caliper", concernId: null }), {
    ...{ type: "addLine", jobId: JOB },
    line: {
      ...{ id: id(11), kind: "labor", description: "Caliper", hours: 1, rateCents: 10_000, wageCents: 0 },
      paidHours: null,
    },
  });
const add = (state: WorkOrderState, n: number, title: string): WorkOrderState =>
  run(state, { type: "addWay", jobId: JOB, otherId: id(n), title, standingTitle: "Standard" });
const lineOf = (state: WorkOrderState): string => state.jobs[0]?.lines[0]?.id ?? "";

it("begins as a copy that stands and is changed, the way before stays beside it as it was", () => {
  const added = add(typed(), 50, "Rebuilt");
  expect(added.jobs[0]).toMatchObject({
    way: { id: id(50), title: "Rebuilt" },
    others: [{ id: null, title: "Standard" }],
  });
  expect(lineOf(added)).not.toBe(id(11));
  const dearer = run(added, { type: "changeLine", lineId: lineOf(added), hours: 2, quantity: null, priceCents: null });
  expect(askedCents(dearer, JOB)).toBe(20_000);
  const shown = shownQuoteOf(dearer, { ...WITH, language: "en" });
  expect(shown.jobs[0]?.ways.map(({ title, cents }) => [title, cents])).toEqual([
    ["Rebuilt", 20_000],
    ["Standard", 10_000],
  ]);
});

it("lets another way stand and be called otherwise, and back again, nothing lost", () => {
  const two = add(typed(), 50, "Rebuilt");
  const back = run(two, { type: "standInWay", jobId: JOB, otherId: null });
  expect(lineOf(back)).toBe(id(11));
  const named = run(run(back, { type: "nameWay", jobId: JOB, otherId: null, title: "New part" }), {
    ...{ type: "nameWay", jobId: JOB, otherId: id(50), title: "Rebuilt part" },
  });
  expect(named.jobs[0]).toMatchObject({ way: { title: "New part" }, others: [{ title: "Rebuilt part" }] });
  const alone = run(run(named, { type: "standInWay", jobId: JOB, otherId: id(50) }), {
    ...{ type: "removeOtherWay", jobId: JOB, otherId: null },
  });
  expect(alone.jobs[0]).not.toHaveProperty("way");
  expect(alone.jobs[0]?.lines).toHaveLength(1);
});

it("is one of three at most, once under each id, and none of what is not there", () => {
  const two = add(typed(), 50, "Rebuilt");
  expect(() => add(two, 50, "Again")).toThrow("job/ways-enough");
  const three = add(two, 51, "Used");
  expect(() => add(three, 52, "More")).toThrow("job/ways-enough");
  expect(() => run(two, { type: "standInWay", jobId: JOB, otherId: id(9) })).toThrow("job/no-such-way");
  expect(() => run(two, { type: "nameWay", jobId: JOB, otherId: id(9), title: "x" })).toThrow("job/no-such-way");
});

it("is not there for a job with one price for all of it, which is of its own lines", () => {
  const setPrice = { priceCents: 15_000, included: [] };
  const state = typed();
  const fixed = { ...state, jobs: state.jobs.map((job) => ({ ...job, setPrice })) };
  expect(() => add(fixed, 50, "Rebuilt")).toThrow("job/way-of-set-price");
});
