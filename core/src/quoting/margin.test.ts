import { run, start } from "../testing/sampleWorkOrder";
import { leftPerHourCents, marginStanding, marginsOf } from "./margin";
import { priceWorkOrder } from "./priceWorkOrder";

const quote = run(
  run(start(), {
    type: "addJob",
    jobId: "b",
    libraryJobId: "brakes",
    lineIds: ["b1", "b2"],
    concernId: null,
    pointIds: [],
  }),
  {
    type: "addLine",
    jobId: "b",
    line: { id: "core", kind: "core", description: "Core", quantity: 1, priceCents: 2200 },
  },
);

it("is of each line, each job and the whole, cores apart", () => {
  const { lines, jobs, all, hours } = marginsOf(quote);
  expect(lines.get("b1")).toEqual({ revenueCents: 10_000, costCents: 3000, leftCents: 7000, percent: 70 });
  expect(lines.get("b2")).toEqual({ revenueCents: 6000, costCents: 3000, leftCents: 3000, percent: 50 });
  expect(lines.has("core")).toBe(false);
  expect(jobs.get("b")).toEqual({ revenueCents: 16_000, costCents: 6000, leftCents: 10_000, percent: 62.5 });
  const { revenue, gross, marginPercent } = priceWorkOrder(quote, "all").profit;
  expect(all).toMatchObject({ revenueCents: revenue, leftCents: gross, percent: marginPercent });
  expect(hours).toBe(1);
});

it("counts those who do the labor by how they are paid", () => {
  const rules = { ...quote.rules, pay: [{ personId: "tomas", by: "commission" as const, percent: 50 }] };
  const assigned = run({ ...quote, rules }, { type: "assignLabor", lineId: "b1", assigned: [{ personId: "tomas" }] });
  expect(marginsOf(assigned).lines.get("b1")).toMatchObject({ costCents: 5000, percent: 50 });
});

it.each([
  [10_000, 1, 60, 5000],
  [10_000, 0, 0, null],
  [-1000, 0.5, 0, -2000],
])("of %p left for %p h and %p min driven, an hour leaves %p", (left, hours, drive, cents) => {
  expect(leftPerHourCents(left, hours, drive)).toBe(cents);
});

it.each([
  [50, 45, "met"],
  [45, 45, "met"],
  [44.9, 45, "below"],
  [-3, 45, "loss"],
  [-3, undefined, "loss"],
  [50, undefined, null],
  [null, 45, null],
])("a margin of %p against %p stands %p", (percent, target, standing) => {
  expect(marginStanding({ revenueCents: 1, costCents: 1, leftCents: 1, percent }, target)).toBe(standing);
});
