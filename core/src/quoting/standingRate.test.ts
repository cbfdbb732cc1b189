import { NO_FACTS } from "../laborGuide/carFacts";
import { FULL_ACTOR, LIBRARY, SETTINGS, run as apply, start } from "../testing/sampleWorkOrder";
import type { WorkOrderCommand } from "../workOrders/commands";
import type { WorkOrderState } from "../workOrders/state";
import { fitDiffers } from "./fitDiffers";
import { keptFromQuote } from "./keptFromQuote";
import type { LaborRate } from "./laborRate";
import { libraryJob } from "./libraryJob";
import type { MoneyRules } from "./moneyRules";
import { paperWords } from "./paperWords";
import { priceToday } from "./priceToday";
import { creditsOf, priceWorkOrder } from "./priceWorkOrder";
import { rightsForLine } from "./rightsForLine";
import { isAfterHours, standingRate, type RateCircumstances } from "./standingRate";
import { jobTotals } from "./totals";

const NEVER: LaborRate["when"] = {
  isDiagnosis: false,
  vehicleClasses: [],
  powers: [],
  olderThanYears: null,
  isAfterHours: false,
  hasCustomersPart: false,
};
const rate = (id: string, cents: number, when: Partial<LaborRate["when"]>): LaborRate => ({ id, title: id, cents, when: { ...NEVER, ...when } }); // prettier-ignore
const RULES: MoneyRules = {
  ...SETTINGS.rules,
  rates: [
    rate("theirs", 13_000, { hasCustomersPart: true }),
    rate("nightDiagnosis", 20_000, { isDiagnosis: true, isAfterHours: true }),
    rate("diagnosis", 15_000, { isDiagnosis: true }),
    rate("electric", 16_000, { powers: ["electric", "hybrid"] }),
    rate("heavy", 14_000, { vehicleClasses: ["heavy"] }),
    rate("old", 12_000, { olderThanYears: 20 }),
    rate("friends", 5_000, {}),
  ],
  workHours: { weekdays: [1, 2, 3, 4, 5], fromMinute: 480, untilMinute: 1080 },
};
const known = <Value>(value: Value) => ({ value, from: "car" as const });
const PLAIN: RateCircumstances = { isDiagnosis: false, facts: NO_FACTS, isAfterHours: false, hasCustomersPart: false };
const DIAGNOSIS = libraryJob.parse({ ...LIBRARY[0], id: "diagnosis", title: "Diagnosis", isDiagnosis: true, lines: LIBRARY[0]?.lines.slice(0, 1) }); // prettier-ignore
const BRAKES = LIBRARY[0] ?? DIAGNOSIS;
const id = (number: number): string => `00000000-0000-4000-8000-${String(number).padStart(12, "0")}`;

function run(state: WorkOrderState, command: WorkOrderCommand): WorkOrderState {
  return apply(state, command, { library: [BRAKES, DIAGNOSIS] });
}
const opened = (over: Partial<MoneyRules> = {}): WorkOrderState => ({ ...start(), rules: { ...RULES, ...over } });
function add(state: WorkOrderState, template: typeof BRAKES, number: number, over: { concernId?: string | null; facts?: object; isAfterHours?: boolean } = {}): WorkOrderState {
  const { facts = {}, isAfterHours: late = false, concernId = null } = over;
  return run(state, {
    type: "addJob",
    jobId: id(number),
    libraryJobId: template.id,
    lineIds: template.lines.map((_, index) => id(number * 10 + index)),
    concernId,
    pointIds: [],
    fit: { facts: { ...NO_FACTS, ...facts }, positions: [], variantId: null, isAfterHours: late },
  });
} // prettier-ignore
const laborOf = (state: WorkOrderState, job = 0) => {
  const line = state.jobs[job]?.lines[0];
  if (line?.kind !== "labor") throw new Error("no labor");
  return line;
};

it.each<[string, Partial<RateCircumstances>, string | null, string[]]>([
  ["nothing special", {}, null, []],
  ["a diagnosis", { isDiagnosis: true }, "diagnosis", ["diagnosis"]],
  ["a diagnosis at night", { isDiagnosis: true, isAfterHours: true }, "nightDiagnosis", ["diagnosis", "afterHours"]],
  ["any other work at night", { isAfterHours: true }, null, []],
  ["a hybrid", { facts: { ...NO_FACTS, power: known("hybrid") } }, "electric", ["power"]],
  ["a gasoline car", { facts: { ...NO_FACTS, power: known("gasoline") } }, null, []],
  ["a heavy, old van", { facts: { ...NO_FACTS, vehicleClass: known("heavy"), ageYears: known(30) } }, "heavy", ["vehicleClass"]],
  ["a car of just that age", { facts: { ...NO_FACTS, ageYears: known(20) } }, null, []],
  ["an older one", { facts: { ...NO_FACTS, ageYears: known(21) } }, "old", ["age"]],
  ["a part the customer brings", { hasCustomersPart: true, isDiagnosis: true }, "theirs", ["customersPart"]],
])("%s stands at its rate and says why", (_name, over, rateId, because) => {
  const stands = standingRate(RULES, { ...PLAIN, ...over });
  expect([stands.id, stands.because]).toEqual([rateId, because]);
}); // prettier-ignore

it("is the general rate where the business has no others, and before there were any", () => {
  expect(standingRate(SETTINGS.rules, { ...PLAIN, isDiagnosis: true })).toEqual({ id: null, cents: 10_000, because: [] });
}); // prettier-ignore

it("a job goes on the quote at the rate that stands; one tap puts it at another, and back at the one that stands", () => {
  let state = add(opened(), DIAGNOSIS, 1);
  expect(laborOf(state)).toMatchObject({ rateCents: 15_000, rate: { id: "diagnosis", because: ["diagnosis"] } });
  state = run(state, { type: "chooseRate", lineId: id(10), rateId: "friends" });
  expect(laborOf(state)).toMatchObject({ rateCents: 5_000, rate: { id: "friends", because: ["chosen"] } });
  expect(laborOf(run(state, { type: "chooseRate", lineId: id(10), rateId: null }))).toMatchObject({ rateCents: 10_000 });
  state = run(state, { type: "chooseRate", lineId: id(10), rateId: "diagnosis" });
  expect(laborOf(state).rate).toEqual({ id: "diagnosis", because: ["diagnosis"] });
  expect(() => run(state, { type: "chooseRate", lineId: id(10), rateId: "gone" })).toThrow("rate/not-found");
}); // prettier-ignore

it("a typed rate is none of the house's, and stays when the job is fitted anew; a chosen one stays, one that stands follows", () => {
  const refit = (state: WorkOrderState): WorkOrderState =>
    run(state, {
      type: "refitJob",
      jobId: id(1),
      fit: { facts: { ...NO_FACTS, power: known("electric") }, positions: [], variantId: null },
    });
  const state = add(opened(), BRAKES, 1);
  expect(laborOf(refit(state))).toMatchObject({ rateCents: 16_000, rate: { id: "electric" } });
  const typed = run(state, { type: "changeLine", lineId: id(10), hours: null, quantity: null, priceCents: 9_900 });
  expect(laborOf(typed).rate).toBeUndefined();
  expect(laborOf(refit(typed))).toMatchObject({ rateCents: 9_900, priceByHand: true });
  expect(laborOf(refit(run(state, { type: "chooseRate", lineId: id(10), rateId: "friends" }))).rateCents).toBe(5_000);
});

it("a visit after hours makes a job differ until it is fitted anew", () => {
  const rules = { rates: [rate("late", 18_000, { isAfterHours: true })] };
  const state = add(opened(rules), BRAKES, 1);
  const fit = { facts: NO_FACTS, positions: [], variantId: null };
  const differs = (late: boolean): boolean =>
    fitDiffers(state, id(1), { ...fit, isAfterHours: late }, [BRAKES], { source: { name: "", simulated: true }, steps: [], operations: [] } as never); // prettier-ignore
  expect([differs(false), differs(true)]).toEqual([false, true]);
  expect(laborOf(add(opened(rules), BRAKES, 1, { isAfterHours: true })).rateCents).toBe(18_000);
});

it("a part the customer brings costs nothing, is not bought, and puts the labor at the rate for that; taken back all is as before", () => {
  const before = add(opened(), BRAKES, 1);
  const state = run(before, { type: "customersPart", lineId: id(11), isCustomers: true });
  const priced = priceWorkOrder(state, "all");
  expect([laborOf(state).rateCents, priced.payers[0]?.part, priced.profit.cost]).toEqual([13_000, 0, 3_000]);
  expect(state.jobs[0]?.lines.map((line) => paperWords(line))[1]).toBe(
    "Pad set, brought by the customer, without our warranty",
  );
  expect(run(state, { type: "customersPart", lineId: id(11), isCustomers: false }).jobs).toEqual(before.jobs);
  expect(() => run(state, { type: "customersPart", lineId: id(10), isCustomers: true })).toThrow("line/figure");
});

it("typed labor at the general rate follows the rates of its job; at any other it takes the right to change prices", () => {
  let state = run(opened(), { type: "addOwnJob", jobId: id(1), title: "Own", concernId: null, on: { facts: { ...NO_FACTS, power: known("electric") }, isAfterHours: false } }); // prettier-ignore
  const line = { id: id(10), kind: "labor" as const, description: "Look", hours: 1, rateCents: 10_000, wageCents: null, paidHours: null }; // prettier-ignore
  state = run(state, { type: "addLine", jobId: id(1), line });
  expect(laborOf(state).rateCents).toBe(16_000);
  expect(rightsForLine({ ...line, rateCents: 14_000 }, RULES)).toEqual([]);
  expect(rightsForLine({ ...line, rateCents: 14_001 }, RULES)).toEqual(["changePrices"]);
});

it("costs tomorrow what the rates are then; kept in the library, it follows the next car's", () => {
  const [job] = add(opened(), DIAGNOSIS, 1).jobs;
  if (!job) throw new Error("no job");
  const dearer = { ...RULES, rates: RULES.rates?.map((each) => ({ ...each, cents: each.cents * 2 })) };
  expect(priceToday(job, false, [DIAGNOSIS], dearer)).toBe(30_000);
  expect(keptFromQuote(job, { id: "kept", title: "K", area: "A" }, undefined, undefined)).toMatchObject({
    isDiagnosis: true,
    lines: [{ rateCents: 15_000 }],
  });
});

describe("a diagnosis is credited", () => {
  const CREDIT = { diagnosisCreditPercent: 100 };
  const answered = (state: WorkOrderState, answers: ("yes" | "no" | null)[]): WorkOrderState => ({
    ...state,
    jobs: state.jobs.map((job, index) => {
      const value = answers[index] ?? null;
      return { ...job, answer: value && { value, approvalId: "a", totalCents: 0 } };
    }),
  });
  const both = (rules: Partial<MoneyRules>, concernId: string | null = id(90)): WorkOrderState =>
    add(add(opened(rules), DIAGNOSIS, 1, { concernId }), BRAKES, 2, { concernId });
  const totals = (state: WorkOrderState): number[] => [...jobTotals(state).values()];

  it.each<[string, WorkOrderState, number[]]>([
    ["by the owner's rule", both(CREDIT), [15_000, 1_000]],
    ["by a part of it", both({ diagnosisCreditPercent: 33 }), [15_000, 11_050]],
    ["never without the rule", both({}), [15_000, 16_000]],
    ["not where the repair is declined", answered(both(CREDIT), ["yes", "no"]), [15_000, 16_000]],
    ["not where the diagnosis is declined", answered(both(CREDIT), ["no", "yes"]), [15_000, 16_000]],
    ["once, and what is left on the next", add(both({ ...CREDIT, rates: [rate("d", 20_000, { isDiagnosis: true })] }), BRAKES, 3, { concernId: id(90) }), [20_000, 0, 12_000]],
  ])("%s", (_name, state, expected) => {
    expect(totals(state)).toEqual(expected);
  }); // prettier-ignore

  it("comes off the repair of its own concern only, and off what is agreed", () => {
    const state = add(add(opened(CREDIT), DIAGNOSIS, 1, { concernId: id(90) }), BRAKES, 2);
    expect(creditsOf(state).size).toBe(0);
    const agreed = answered(both(CREDIT), ["yes", "yes"]);
    expect(priceWorkOrder(agreed, "approved").jobs.map(({ total }) => total)).toEqual([15_000, 1_000]);
    expect(creditsOf(agreed).get(id(2))).toMatchObject({ cents: 15_000, from: { id: id(1) } });
  });
  it("comes off beside what the job itself has less, not in its place", () => {
    const state = both({ diagnosisCreditPercent: 33 });
    const off = run(state, { type: "editJob", jobId: id(2), change: { off: { percent: 10 } } });
    // 16,000 less a tenth, less a third of the 15,000 for the diagnosis.
    expect(totals(off)).toEqual([15_000, 16_000 - 1_600 - 4_950]);
    expect(creditsOf(off).get(id(2))).toMatchObject({ cents: 4_950, offCents: 1_600 });
  });
  it("comes off what a person says it led to, and off nothing that only came after it", () => {
    const after = both(CREDIT, null);
    expect(totals(after)).toEqual([15_000, 16_000]);
    const said = run(after, { type: "foundBy", jobId: id(2), diagnosisId: id(1) });
    expect(totals(said)).toEqual([15_000, 1_000]);
    expect(totals(run(said, { type: "removeJob", jobId: id(1) }))).toEqual([16_000]);
    const unsaid = run(both(CREDIT), { type: "foundBy", jobId: id(2), diagnosisId: null });
    expect(totals(unsaid)).toEqual([15_000, 16_000]);
    for (const [jobId, diagnosisId] of [[id(2), id(3)], [id(2), id(2)], [id(1), null]] as const)
      expect(() => run(after, { type: "foundBy", jobId, diagnosisId })).toThrow("job/no-diagnosis");
  }); // prettier-ignore
});

it.each([
  ["2026-11-27T18:00:00.000Z", false],
  ["2026-11-28T02:00:00.000Z", true],
  ["2026-11-27T15:59:00.000Z", true],
  ["2026-11-28T18:00:00.000Z", true],
])("%s on the west coast is after hours: %s", (instant, isLate) => {
  expect(isAfterHours(instant, "America/Los_Angeles", RULES.workHours)).toBe(isLate);
  expect(isAfterHours(instant, "America/Los_Angeles", undefined)).toBe(false);
});

it("whoever may not see cost may choose among the house's rates all the same", () => {
  const state = add(opened(), BRAKES, 1);
  const actor = { ...FULL_ACTOR, rights: [] };
  expect(laborOf(apply(state, { type: "chooseRate", lineId: id(10), rateId: "old" }, { actor })).rateCents).toBe(12_000);
}); // prettier-ignore
