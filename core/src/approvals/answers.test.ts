import { USUAL_PAPERS } from "../papers/paperSettings";
import { shownQuoteOf } from "../customerPage/shownQuoteOf";
import { jobTotals } from "../quoting/totals";
import { clientWorkOrderCommand, workOrderCommand } from "../workOrders/commands";
import { nextAct } from "../workOrders/nextAct";
import { waitingOf } from "../workOrders/waiting";
import type { WorkOrderState } from "../workOrders/state";
import { takingBack } from "../work/takeBack";
import { LIBRARY, POINTS, SETTINGS, run, start } from "../testing/sampleWorkOrder";
import { approvedJobs, openJobs, standingAnswer } from "./standing";
import { toleratedCents, yesChange } from "./yesChange";

const id = (n: number): string => `01900000-0000-7000-8000-${String(n).padStart(12, "0")}`;
const JOB = id(1);
const LABOR = id(11);
const PART = id(12);
const WITH = {
  points: POINTS,
  before: [],
  specs: {},
  language: "en" as const,
  checksums: new Map(),
  papers: USUAL_PAPERS,
};

const quoted = (): WorkOrderState =>
  run(start(), {
    type: "addJob",
    jobId: JOB,
    libraryJobId: "brakes",
    lineIds: [LABOR, PART],
    concernId: null,
    pointIds: [],
  });
const answer = (
  state: WorkOrderState,
  value: "yes" | "later" | "no" = "yes",
  over: { shown?: ReturnType<typeof shownQuoteOf>; otherId?: string; at?: string; needsAlso?: string; approvalId?: string } = {},
): WorkOrderState => {
  const { shown = shownQuoteOf(state, WITH), otherId, at, needsAlso, approvalId = id(90) } = over;
  const given = {
    type: "recordAnswers" as const, approvalId, way: "signed" as const, name: "Maren Oyelaran", signature: [[1, 2]],
    answers: shown.jobs.map(({ id: jobId, title, ways }) => ({
      jobId, title, answer: value, totalCents: ways[0]?.cents ?? 0, ...(otherId ? { otherId } : {}), reason: "too dear", askOn: "2027-02-01",
    })),
    totalCents: 1, shown, ...(needsAlso ? { needsAlso } : {}),
  };
  return run(state, given, at ? { at } : {});
}; // prettier-ignore
const dearer = (state: WorkOrderState, hours: number): WorkOrderState =>
  run(state, { type: "changeLine", lineId: LABOR, hours, quantity: null, priceCents: null });
const standing = (state: WorkOrderState) => state.jobs.map((job) => standingAnswer(state, job));

describe("a yes holds for what was shown", () => {
  it("and asks anew for a higher price, other parts or another payer, not for a lower price", () => {
    const agreed = answer(quoted());
    expect(standing(agreed)).toEqual(["yes"]);
    expect(standing(dearer(agreed, 0.5))).toEqual(["yes"]);
    const up = dearer(agreed, 2);
    expect(standing(up)).toEqual([null]);
    expect(yesChange(up, up.jobs[0]!)).toMatchObject({ differs: ["price"], before: { cents: 16_000 }, now: { cents: 26_000 } });
    const used = run(agreed, { type: "editLine", lineId: PART, change: { condition: "used" } });
    expect(yesChange(used, used.jobs[0]!)).toMatchObject({ differs: ["parts"], now: { parts: ["Pad set, used"] } });
    const fleet = run(agreed, { type: "editJob", jobId: JOB, change: { payer: { id: id(70), name: "Heron Fleet", isExempt: false } } });
    expect(yesChange(fleet, fleet.jobs[0]!)).toMatchObject({ differs: ["payer"] });
  }); // prettier-ignore

  it("whatever is added beside it, and whatever is taken off the whole", () => {
    const discounted = run(quoted(), { type: "addDiscount", discountId: id(60), title: "Neighbor", on: "all", off: { amountCents: 5_000 } });
    const agreed = answer(discounted);
    const more = run(agreed, { type: "addJob", jobId: id(2), libraryJobId: "brakes", lineIds: [id(21), id(22)], concernId: null, pointIds: [] });
    expect(jobTotals(more).get(JOB)).not.toBe(jobTotals(agreed).get(JOB));
    expect(standing(more)).toEqual(["yes", null]);
    expect(openJobs(more).map(({ id: jobId }) => jobId)).toEqual([id(2)]);
  }); // prettier-ignore

  it("and, by the owner's tolerance, a little beyond, which is written down", () => {
    const rules = { ...SETTINGS.rules, tolerance: { percent: 10 } };
    const agreed = { ...answer(quoted()), rules };
    const little = dearer(agreed, 1.1);
    expect(standing(little)).toEqual(["yes"]);
    expect(little.tolerated).toEqual([expect.objectContaining({ jobId: JOB, fromCents: 16_000, toCents: 17_000 })]);
    const more = run(little, { type: "recordOdometer", miles: 1 });
    expect(more.tolerated).toHaveLength(1);
    expect(standing(dearer(agreed, 1.2))).toEqual([null]);
  });
  it.each([[undefined, 0], [{ amountCents: 700 }, 700], [{ percent: 2.5 }, 500], [{ percent: 2.5, amountCents: 300 }, 300], [{ percent: 0 }, 0]])(
    "tolerance %p of 200.00 is %p cents", (tolerance, cents) => {
      expect(toleratedCents(20_000, tolerance ? { tolerance } : {})).toBe(cents);
    },
  ); // prettier-ignore

  it("and for nobody alone where two have to agree", () => {
    const one = answer(quoted(), "yes", { needsAlso: "Maren Oyelaran" });
    expect(standing(one)).toEqual([null]);
    expect(openJobs(one)).toHaveLength(1);
    expect(standing(answer(one, "yes", { approvalId: id(91) }))).toEqual(["yes"]);
  });
});

describe("answers that meet", () => {
  it("a signature for what has changed meanwhile is kept and marked", () => {
    const shown = shownQuoteOf(quoted(), WITH);
    const late = answer(dearer(quoted(), 3), "yes", { shown });
    expect(late.approvals).toHaveLength(1);
    expect(late.conflicts.map(({ code }) => code)).toEqual(["approval/price-changed"]);
    expect(standing(late)).toEqual([null]);
  });
  it.each([
    ["in the order they were given", ["2026-12-01T10:00:00.000Z", "2026-12-01T11:00:00.000Z"], "no", []],
    ["the later one first", ["2026-12-01T11:00:00.000Z", "2026-12-01T10:00:00.000Z"], "yes", ["approval/later-stands"]],
  ])("of two phones without a signal the answer given later stands, arriving %s", (_name, [first, second], stands, marks) => {
    const one = answer(quoted(), "yes", { at: first! });
    const two = answer(one, "no", { at: second!, approvalId: id(91) });
    expect(two.jobs[0]?.answer?.value).toBe(stands);
    expect(two.approvals).toHaveLength(2);
    expect(two.conflicts.map(({ code }) => code)).toEqual(marks);
  }); // prettier-ignore
  it("what an older app queued, without what was shown, stands where the price is the same", () => {
    const totals = jobTotals(quoted());
    const old = (totalCents: number): WorkOrderState =>
      run(quoted(), {
        ...{ type: "recordAnswers", approvalId: id(90), way: "spoken", name: "Maren", signature: [], totalCents: 1 },
        answers: [{ jobId: JOB, title: "Brakes", answer: "yes", totalCents }],
      });
    expect(standing(old(totals.get(JOB) ?? 0))).toEqual(["yes"]);
    expect(standing(old(1))).toEqual([null]);
    expect(old(1).conflicts).toHaveLength(1);
  });
});

describe("another way of a job", () => {
  const better = {
    id: id(50),
    title: "Better pads",
    lines: [{ ...LIBRARY[0]!.lines[1]!, id: id(51), costCents: 6000 }],
  } as const;
  const withOther = (): WorkOrderState => {
    const state = quoted();
    return { ...state, jobs: state.jobs.map((job) => ({ ...job, way: { id: null, title: "Good pads" }, others: [{ ...better, lines: [...better.lines] }] })) };
  }; // prettier-ignore
  it("takes its place when it is chosen, the first stays beside it, and a second phone's choice is the same", () => {
    const shown = shownQuoteOf(withOther(), WITH);
    expect(shown.jobs[0]?.ways.map(({ title, cents }) => [title, cents])).toEqual([["Good pads", 16_000], ["Better pads", 12_000]]);
    const chosen = answer(withOther(), "yes", { shown, otherId: better.id });
    expect(chosen.jobs[0]).toMatchObject({ way: { id: better.id, title: "Better pads" }, others: [{ id: null, title: "Good pads" }] });
    expect(standing(chosen)).toEqual(["yes"]);
    const again = answer(chosen, "yes", { shown, otherId: better.id, approvalId: id(91) });
    expect(again.jobs[0]?.way?.title).toBe("Better pads");
    expect(again.approvals[1]?.answers[0]).toMatchObject({ wayTitle: "Better pads", reason: "too dear" });
  }); // prettier-ignore
});

describe("taking a yes back", () => {
  const back = (state: WorkOrderState, costCents: number): WorkOrderState =>
    run(state, { type: "takeBackOnPage", takenBackId: id(80), jobId: JOB, name: "Maren", costCents });
  const ordered = (state: WorkOrderState): WorkOrderState =>
    run(state, {
      ...{
        type: "recordPartsOrder",
        orderId: id(85),
        orderNumber: "G-1",
        supplierId: "gull",
        supplierName: "Gull Harbor Parts",
      },
      items: [{ lineId: PART, partNumber: "P", quantity: 1, costCents: 3000 }],
    } as never);
  it("costs nothing before anything is ordered, and it is to be asked again", () => {
    const agreed = answer(quoted());
    expect(takingBack(agreed, JOB)).toEqual({ costCents: 0 });
    const after = back(agreed, 0);
    expect(standing(after)).toEqual([null]);
    expect(after.takenBack).toEqual([expect.objectContaining({ title: "Brakes", costCents: 0, name: "Maren" })]);
    expect(() => back(after, 0)).toThrow("yes/begun");
  });
  it("leaves what was ordered to pay, as it was told", () => {
    const agreed = ordered(answer(quoted()));
    expect(takingBack(agreed, JOB)).toEqual({ costCents: 6_000 });
    expect(() => back(agreed, 0)).toThrow("yes/costs-more");
    const after = back(agreed, 6_000);
    expect(approvedJobs(after).map(({ title, lines }) => [title, lines.length])).toEqual([
      ["Brakes: parts ordered", 1],
    ]);
  });
  it("is over when the work is done", () => {
    const done = run(answer(quoted()), { type: "finishJobs", jobIds: [JOB] });
    expect(takingBack(done, JOB)).toBeNull();
    expect(() => back(done, 0)).toThrow("yes/begun");
  });
});

describe("a call that led to no sale", () => {
  it("is closed with why, waits for nothing, and goes on when somebody says yes", () => {
    const closed = run(quoted(), { type: "closeWithoutSale", reason: "price", words: "too dear" });
    expect(waitingOf(closed, [])).toMatchObject({ waitsFor: null });
    expect(nextAct(closed, [], 0, "2026-12-01T10:00:00.000Z")).toEqual({ act: "nothing" });
    expect(waitingOf(run(closed, { type: "goOnSelling" }), [])).toMatchObject({ waitsFor: "answer" });
    const more = run(closed, {
      type: "addJob",
      jobId: id(2),
      libraryJobId: "brakes",
      lineIds: [id(21), id(22)],
      concernId: null,
      pointIds: [],
    });
    expect(waitingOf(more, [])).toMatchObject({ waitsFor: "answer" });
    expect(answer(closed).noSale).toBeNull();
    expect(() => run(answer(quoted()), { type: "closeWithoutSale", reason: "other", words: "" })).toThrow(
      "sale/agreed",
    );
  });
});

it("what is done on a customer's page no device may send", () => {
  const shown = shownQuoteOf(quoted(), WITH);
  const answers = [{ jobId: JOB, title: "Brakes", answer: "yes", totalCents: 1 }];
  const onPage = { type: "answerOnPage", approvalId: id(90), name: "M", signature: [], answers, totalCents: 1, shown };
  const back = { type: "takeBackOnPage", takenBackId: id(80), jobId: JOB, name: "M", costCents: 0 };
  for (const command of [onPage, back]) {
    expect(workOrderCommand.safeParse(command).success).toBe(true);
    expect(clientWorkOrderCommand.safeParse(command).success).toBe(false);
  }
});
