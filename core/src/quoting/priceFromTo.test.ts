import { run, start, yes } from "../testing/sampleWorkOrder";
import { priceFromTo } from "./priceFromTo";
import { quoteTotalCents } from "./totals";

const brakes = run(start(), {
  type: "addJob",
  jobId: "b",
  libraryJobId: "brakes",
  lineIds: ["b1", "b2"],
  concernId: null,
  pointIds: [],
});
const open = {
  ...brakes,
  jobs: brakes.jobs.map((job) => ({
    ...job,
    lines: job.lines.map((line) => (line.kind === "labor" ? { ...line, hoursFrom: 0.6 } : line)),
  })),
};

it("is from the least hours to the most while not all of the car is known", () => {
  const from = priceFromTo(open);
  expect(from).toMatchObject({ isOpen: true, totalCents: 12_780 });
  expect(from.jobs.get("b")).toBe(12_000);
  expect(quoteTotalCents(open)).toBe(16_980);
});

it("is one price with the car known, once the hours were typed, and for what was agreed", () => {
  expect(priceFromTo(brakes)).toMatchObject({ isOpen: false, totalCents: quoteTotalCents(brakes) });
  const typed = run(open, { type: "changeLine", lineId: "b1", hours: 0.8, quantity: null, priceCents: null });
  expect(priceFromTo(typed)).toMatchObject({ isOpen: false, totalCents: quoteTotalCents(typed) });
  expect(priceFromTo(yes(open)).isOpen).toBe(false);
});
