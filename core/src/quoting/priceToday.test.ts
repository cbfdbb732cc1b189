import { LIBRARY, run, SETTINGS, start } from "../testing/sampleWorkOrder";
import type { Job } from "./slice";
import { jobTotals } from "./totals";
import { priceToday } from "./priceToday";

const state = run(start(), {
  type: "addJob",
  jobId: "brakes",
  libraryJobId: "brakes",
  lineIds: ["b1", "b2"],
  concernId: null,
  pointIds: [],
});
const job = state.jobs[0] as Job;
const then = jobTotals(state).get("brakes") ?? 0;

it("costs the same where nothing changed", () => {
  expect(priceToday(job, false, LIBRARY, SETTINGS.rules)).toBe(then);
});
it("goes by the library's rates and costs of today", () => {
  const dearer = LIBRARY.map((kept) => ({
    ...kept,
    lines: kept.lines.map((line) =>
      line.kind === "labor"
        ? { ...line, rateCents: line.rateCents * 2 }
        : line.kind === "part"
          ? { ...line, costCents: (line.costCents ?? 0) * 2 }
          : line,
    ),
  }));
  expect(priceToday(job, false, dearer, SETTINGS.rules)).toBeGreaterThan(then);
});
it("keeps a price set by hand, and takes the business's rate for labor the library does not have", () => {
  const own: Job = {
    ...job,
    libraryJobId: null,
    lines: [
      { id: "l", kind: "labor", description: "Own", hours: 1, rateCents: 1, wageCents: null, paidHours: null },
      {
        id: "p",
        kind: "part",
        description: "Own",
        quantity: 1,
        costCents: 1,
        markup: null,
        priceCents: 4000,
        partNumber: null,
        brand: null,
      },
    ],
  };
  expect(priceToday(own, false, LIBRARY, SETTINGS.rules)).toBe(SETTINGS.rules.laborRateCents + 4000);
});
it("is not known where the markup is gone from the rules", () => {
  const lost: Job = { ...job, libraryJobId: null };
  const rules = { ...SETTINGS.rules, pricing: { ...SETTINGS.rules.pricing, markup: {} } };
  expect(priceToday(lost, false, [], rules)).toBeNull();
});
