import { LIBRARY, run, start } from "../testing/sampleWorkOrder";
import type { WorkOrderState } from "../workOrders/state";
import { compareQuotes } from "./compareQuotes";
import { NO_FACTS } from "../laborGuide/carFacts";

const FIT = { facts: NO_FACTS, positions: [], variantId: null };
const brakes = (prefix: string, fit: typeof FIT | null = FIT): WorkOrderState =>
  run(start(), {
    ...{ type: "addJob", jobId: `${prefix}j`, libraryJobId: "brakes", lineIds: [`${prefix}1`, `${prefix}2`] },
    ...{ concernId: null, pointIds: [], fit },
  });
const own = (state: WorkOrderState, id: string, title: string): WorkOrderState =>
  run(run(state, { type: "addOwnJob", jobId: id, title, concernId: null }), {
    type: "addLine",
    jobId: id,
    line: { id: `${id}f`, kind: "fee", description: "Parking", quantity: 1, priceCents: 500 },
  });

it("puts the same jobs and lines beside each other, and says what only one of them has", () => {
  const cheaper = run(brakes("b"), { type: "changeLine", lineId: "b2", hours: null, quantity: null, priceCents: 4000 });
  const { jobs, totals } = compareQuotes([brakes("a"), own(cheaper, "k", "Extra")]);
  expect(jobs.map(({ title, cents }) => [title, cents])).toEqual([
    ["Brakes", [16_000, 14_000]],
    ["Extra", [null, 500]],
  ]);
  expect(jobs[0]?.lines.map(({ sides }) => sides.map((side) => side?.cents))).toEqual([
    [10_000, 10_000],
    [6000, 4000],
  ]);
  expect(jobs[1]?.lines[0]?.sides).toEqual([null, { words: "1 × Parking", cents: 500 }]);
  expect(totals[0]).not.toBe(totals[1]);
});

it("keeps two jobs of one kind apart, and finds lines of a job that was not fitted by their place", () => {
  const twice = run(brakes("a", null), {
    ...{ type: "addJob", jobId: "again", libraryJobId: LIBRARY[0]?.id ?? "", lineIds: ["x1", "x2"] },
    ...{ concernId: null, pointIds: [] },
  });
  // One of them was fitted, the other was not.
  const { jobs } = compareQuotes([twice, brakes("b")]);
  expect(jobs.map(({ cents }) => cents)).toEqual([
    [16_000, 16_000],
    [16_000, null],
  ]);
  expect(jobs[0]?.lines.every(({ sides }) => sides.every((side) => side !== null))).toBe(true);
});
