import { NO_FACTS, jobTotals } from "@mechanon/core";
import type { NextAct } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { SETTINGS_SAMPLE, stateSample, viewSample } from "../testing/samples";
import { answerWords } from "./answerWords";
import { cashChoices } from "./cashChoices";
import { driveMinutesTo } from "./driveTo";
import { readAmount } from "../quote/readAmount";
import { lineOf, typedLine } from "../quote/newLine";
import { sectionOf, WORK_ORDER_SECTIONS } from "./sections";

const at = "2026-11-23T17:00:00.000Z";
const labor = {
  id: "l",
  kind: "labor" as const,
  description: "Labor",
  hours: 2,
  rateCents: 10000,
  wageCents: null,
  paidHours: null,
};
const part = {
  id: "p",
  kind: "part" as const,
  description: "Part",
  quantity: 1,
  costCents: 1000,
  markup: "standard",
  priceCents: null,
  partNumber: null,
  brand: null,
};
const job = {
  id: "j",
  title: "Brakes",
  libraryJobId: null,
  concernId: null,
  pointIds: [],
  lines: [labor, part],
  addedAt: at,
  answer: null,
  finishedAt: null,
};

/** The line each section still says while it is folded. */
function linesOf(view: WorkOrderView): Record<string, string> {
  const business = { settings: SETTINGS_SAMPLE, timeZone: "utc" };
  return Object.fromEntries(
    WORK_ORDER_SECTIONS.map(({ name, line }) => [name, line({ view, business, facts: NO_FACTS, today: "2026-11-23" })]),
  );
}

describe("lines of the folded sheet", () => {
  it("say what is missing at the start", () => {
    expect(linesOf(viewSample())).toEqual({
      visits: "No visit yet",
      arrival: "Nothing noted",
      check: "Not started",
      messages: "Nothing yet",
      quote: "No job yet",
      parts: "None",
      work: "Nothing agreed yet",
      money: "Nothing agreed yet",
    });
  });
  it("say what matters when it is agreed", () => {
    const answer = { value: "yes" as const, approvalId: "a", totalCents: 22000 };
    const findings = [{ pointId: "pads", grade: "act" as const, measures: { value: 2 }, note: "", at, by: "me" }];
    const view = viewSample({ state: stateSample({ jobs: [{ ...job, answer }], findings }) });
    expect(linesOf(view)).toMatchObject({
      check: "1 open, 1 act now",
      quote: "1 job, $222.00",
      parts: "1 to order",
      work: "0 of 1 job finished",
      money: "$222.00 due",
    });
  });
});

describe("the customer's word", () => {
  it.each([
    [null, 22000, "Not answered yet"],
    [{ value: "yes" as const, approvalId: "a", totalCents: 22000 }, 22000, "Agreed"],
    [
      { value: "yes" as const, approvalId: "a", totalCents: 20000 },
      22000,
      "Agreed at $200.00; the price changed, ask again",
    ],
    [{ value: "later" as const, approvalId: "a", totalCents: 1 }, 22000, "Put off"],
    [{ value: "no" as const, approvalId: "a", totalCents: 1 }, 22000, "Declined"],
  ])("%p at %p reads %p", (answer, total, words) => {
    const asked = { ...job, answer };
    const quote = stateSample({ jobs: [asked] });
    expect(jobTotals(quote).get(job.id)).toBe(total);
    expect(answerWords(quote, asked)).toBe(words);
  });
});

it.each([
  [8712, [8712, 9000, 10000]],
  [5000, [5000, 6000, 10000]],
  [1, [1, 1000, 2000, 5000]],
])("offers for %p due %p", (due, choices) => {
  expect(cashChoices(due)).toEqual(choices);
});

describe("a line typed by hand", () => {
  const rules = { ...SETTINGS_SAMPLE.rules, laborRateCents: 10000, wageCents: null };
  it.each([
    [
      "nothing",
      { kind: "labor" as const, description: " ", amount: "", price: "", cost: "" },
      { description: "say what it is", amount: "a number like 1 or 1.5" },
    ],
    [
      "a part without a price",
      { kind: "part" as const, description: "Clip", amount: "2", price: "x", cost: "" },
      { price: "an amount looks like 84.50" },
    ],
    [
      "five decimals",
      { kind: "labor" as const, description: "Look", amount: "1.00001", price: "", cost: "" },
      { amount: "a number like 1 or 1.5" },
    ],
  ])("%s is told at the field", (_name, draft, faults) => {
    const { error } = typedLine.safeParse(draft);
    expect(Object.fromEntries((error?.issues ?? []).map(({ path, message }) => [path[0], message]))).toEqual(faults);
  });
  it("becomes a line with the business's rate or the price given", () => {
    expect(
      lineOf(typedLine.parse({ kind: "labor", description: "Look", amount: "1.5", price: "", cost: "" }), "x", rules),
    ).toMatchObject({ hours: 1.5, rateCents: 10000 });
    expect(
      lineOf(typedLine.parse({ kind: "part", description: "Clip", amount: "2", price: "$3.50", cost: "" }), "x", rules),
    ).toMatchObject({ quantity: 2, priceCents: 350 });
  });
});

it.each([
  ["7.6", 7.6],
  [" 2 ", 2],
  ["0", 0],
  ["1.00001", null],
  ["-1", null],
  ["1e3", null],
  ["", null],
  ["100001", null],
])("amount %p is %p", (typed, amount) => {
  expect(readAmount(typed)).toBe(amount);
});

it("opens the section of the sheet the next act belongs to, each act in one of them", () => {
  expect(sectionOf({ act: "takePayment", dueCents: 1 })).toBe("money");
  expect(sectionOf({ act: "inspect", points: 2 })).toBe("check");
  expect(sectionOf({ act: "nothing" })).toBeNull();
  const acts = WORK_ORDER_SECTIONS.flatMap((section) => section.acts);
  const every: Record<Exclude<NextAct["act"], "nothing">, true> = {
    bookVisit: true,
    setOff: true,
    arrive: true,
    inspect: true,
    addJob: true,
    showQuote: true,
    orderParts: true,
    receiveParts: true,
    finishJobs: true,
    takePayment: true,
    sendReceipt: true,
  };
  expect([...acts].sort()).toEqual(Object.keys(every).sort());
});

it("tells the usual minutes where the place is unknown", () => {
  expect(driveMinutesTo(viewSample(), "nowhere", undefined)).toBe(15);
});
