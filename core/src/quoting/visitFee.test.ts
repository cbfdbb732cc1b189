import { Refusal } from "../commands/refusal";
import { FULL_ACTOR } from "../testing/sampleWorkOrder";
import type { QuoteSlice } from "./slice";
import { addVisitFee, visitFeeCents, type AddVisitFee, type VisitFees } from "./visitFee";

const FEES: VisitFees = { callOutCents: 4501, callOutOn: "shared", callOffFeeCents: 3500 };
const fee = (over: Partial<AddVisitFee> = {}): AddVisitFee => ({
  type: "addVisitFee",
  jobId: "fee",
  lineId: "line",
  kind: "callOut",
  cars: 2,
  car: 0,
  ...over,
});
const add = (jobs: QuoteSlice["jobs"], command: AddVisitFee, fees = FEES): QuoteSlice["jobs"] =>
  addVisitFee({ jobs }, command, {
    aggregateId: "w",
    commandId: "c",
    at: "2026-11-23T17:00:00.000Z",
    actor: FULL_ACTOR,
    settings: { visits: fees },
  }).jobs;
const priceOf = ([job]: QuoteSlice["jobs"]): number | undefined =>
  job?.lines.reduce((sum, line) => sum + (line.kind === "fee" ? line.priceCents : 0), 0);

it("shares one call-out over the cars to the cent, or puts it on the first", () => {
  const shares = (fees: VisitFees, cars: number): number[] =>
    Array.from({ length: cars }, (_, car) => visitFeeCents(fees, { kind: "callOut", cars, car }));
  expect(shares(FEES, 3)).toEqual([1501, 1500, 1500]);
  expect(shares({ ...FEES, callOutOn: "first" }, 3)).toEqual([4501, 0, 0]);
  expect(visitFeeCents(FEES, { kind: "callOff", cars: 1, car: 0 })).toBe(3500);
});

it("stands on the quote once, and is set right when cars came or went", () => {
  const jobs = add([], fee());
  expect([jobs.length, priceOf(jobs)]).toEqual([1, 2251]);
  expect(add(jobs, fee())).toEqual(jobs);
  const alone = add(jobs, fee({ cars: 1 }));
  expect([alone.length, priceOf(alone)]).toEqual([1, 4501]);
  expect(add(alone, fee({ cars: 2, car: 1 }), { ...FEES, callOutOn: "first" })).toEqual([]);
});

it("is not changed once it was answered, and nothing is nothing", () => {
  const answered = add([], fee()).map((job) => ({
    ...job,
    answer: { value: "yes" as const, approvalId: "a", totalCents: 2251 },
  }));
  expect(add(answered, fee())).toEqual(answered);
  expect(() => add(answered, fee({ cars: 1 }))).toThrow(new Refusal("fee/answered"));
  expect(() => add([], fee(), { ...FEES, callOutCents: 0 })).toThrow(new Refusal("fee/nothing"));
});
