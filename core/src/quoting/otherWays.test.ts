import { askedCents } from "../approvals/yesChange";
import { LIBRARY, SETTINGS, run, start } from "../testing/sampleWorkOrder";
import type { WorkOrderState } from "../workOrders/state";
import { NO_FACTS } from "../laborGuide/carFacts";
import { libraryJob } from "./libraryJob";

const id = (n: number): string => `01900000-0000-7000-8000-${String(n).padStart(12, "0")}`;
const JOB = id(1);
const variant = (variantId: string, costCents: number): object => ({
  ...{ id: variantId, title: variantId },
  parts: [{ lineId: "2", description: `Pads ${variantId}`, costCents, priceCents: null, partNumber: "Q", brand: null }],
});
const WITH = LIBRARY.map((job) =>
  libraryJob.parse({ ...job, variants: [variant("better", 5_000), variant("best", 9_000), variant("race", 20_000)] }),
);
const rules = {
  ...SETTINGS.rules,
  fees: [{ id: "waste", title: "Waste", priceCents: 300, on: { what: "labor" as const }, isUntaxed: false }],
};
const over = { library: WITH, settings: { ...SETTINGS, rules } };
const fit = (variantId: string | null) => ({ facts: NO_FACTS, positions: [], variantId });
const quoted = (): WorkOrderState => {
  const opened = { ...start(), rules };
  return run(
    opened,
    {
      type: "addJob",
      jobId: JOB,
      libraryJobId: "brakes",
      lineIds: [id(11), id(12)],
      concernId: null,
      pointIds: [],
      fit: fit(null),
    },
    over,
  );
};
const offer = (state: WorkOrderState, n: number, variantId: string | null): WorkOrderState =>
  run(state, { type: "offerOtherWay", jobId: JOB, otherId: id(n), fit: fit(variantId) }, over); // prettier-ignore

it("offers another quality beside the one that stands, priced alike, with the fees that hang on it", () => {
  const state = offer(quoted(), 50, "better");
  const [job] = state.jobs;
  expect(askedCents(state, JOB)).toBe(10_000 + 6_000 + 300);
  expect(job).toMatchObject({ way: { id: null, title: "Standard" }, others: [{ id: id(50), title: "better" }] });
  const other = { ...state, jobs: [{ ...job!, lines: job?.others?.[0]?.lines ?? [] }] };
  expect(askedCents(other, JOB)).toBe(10_000 + 10_000 + 300);
  const ids = [...(job?.lines ?? []), ...(job?.others?.[0]?.lines ?? [])].map((line) => line.id);
  expect(new Set(ids).size).toBe(ids.length);
});

it("three ways at most, of the library only, and none that is there", () => {
  const three = offer(offer(quoted(), 50, "better"), 51, "best");
  expect(() => offer(three, 52, "race")).toThrow("job/ways-enough");
  expect(() => offer(offer(quoted(), 50, "better"), 50, "best")).toThrow("job/ways-enough");
  expect(() => offer(quoted(), 50, "gold")).toThrow("job/not-in-library");
  const none = run(run(three, { type: "removeOtherWay", jobId: JOB, otherId: id(50) }), { type: "removeOtherWay", jobId: JOB, otherId: id(51) });
  expect(none.jobs[0]).not.toHaveProperty("others");
  expect(none.jobs[0]).not.toHaveProperty("way");
  expect(() => run(none, { type: "removeOtherWay", jobId: JOB, otherId: id(51) })).toThrow("job/no-such-way");
}); // prettier-ignore
