import type { QuoteLine } from "@mechanon/core";
import { jobSample, SETTINGS_SAMPLE, stateSample } from "../../testing/samples";
import { cellAct, cellText, typedText } from "./cells";
import { drafted } from "./drafted";
import { readTypedLine } from "./readTypedLine";
import { rowsOf, type TableRow } from "./rows";
import { figuresOf } from "./useTableActs";

const ALL = { mayPrice: true, seesCost: true };
const state = stateSample({ jobs: [jobSample()] });
const figures = figuresOf(state);
const rows = rowsOf(state.jobs);
const rowOf = (key: string): TableRow => rows.find((row) => row.key === key) as TableRow;

it("has a row for each job, its lines, a line more and a job more", () => {
  expect(rows.map(({ kind }) => kind)).toEqual(["job", "line", "line", "addLine", "addJob"]);
  const done = rowsOf([{ ...jobSample(), finishedAt: "2026-11-23T17:00:00.000Z" }]);
  expect(done.map(({ kind }) => kind)).toEqual(["job", "line", "line", "addJob"]);
});

it("shows figures as they are read, and what is typed over them", () => {
  expect(cellText(rowOf("w2"), "each", figures)).toBe("16.00");
  expect(cellText(rowOf("w2"), "margin", figures)).toBe("50%");
  expect(typedText(rowOf("w2"), "amount", figures, ALL)).toBe("2");
  expect(typedText(rowOf("w2"), "cost", figures, { ...ALL, seesCost: false })).toBeNull();
  expect(typedText(rowOf("w2"), "each", figures, { ...ALL, mayPrice: false })).toBeNull();
  expect(typedText(rowOf("w2"), "net", figures, ALL)).toBeNull();
});

it.each<[string, string, Parameters<typeof cellAct>[1], string, object | "fault" | null]>([
  ["an amount", "w2", "amount", "3", { command: { quantity: 3 }, undo: { quantity: 2 } }],
  ["hours with their unit", "w1", "amount", "1.5 h", { command: { hours: 1.5 }, undo: { hours: 0.1 } }],
  [
    "a price, and the table it was by",
    "w2",
    "each",
    "20",
    { command: { priceCents: 2000 }, undo: { change: { markup: "standard" } } },
  ],
  [
    "a share off",
    "w2",
    "off",
    "10%",
    { command: { change: { off: { percent: 10 } } }, undo: { change: { off: null } } },
  ],
  ["a cost", "w2", "cost", "9", { command: { change: { costCents: 900 } }, undo: { change: { costCents: 800 } } }],
  ["what stands there", "w2", "amount", "2", null],
  ["no number", "w2", "amount", "two", "fault"],
  ["five decimals", "w2", "amount", "1.00001", "fault"],
  ["a negative one", "w2", "amount", "-1", "fault"],
  ["nothing", "w2", "what", " ", "fault"],
])("typing %s does what it says, and can be taken back", (_name, key, column, typed, act) => {
  const done = cellAct(rowOf(key), column, typed, figures);
  if (act === null || act === "fault") expect(done).toBe(act);
  else expect(done).toMatchObject(act);
});

it("shows the total with what is being typed, and the one of before while it is no figure", () => {
  const more = drafted(state, rowOf("w2"), "amount", "4");
  expect(figuresOf(more).lines.get("w2")?.net).toBe(6400);
  expect(drafted(state, rowOf("w2"), "amount", "4x")).toBe(state);
  expect(drafted(state, rowOf("w2"), "amount", null)).toBe(state);
});

describe("a line typed in one go", () => {
  const read = (typed: string, rights = ALL): unknown => readTypedLine(typed, "n", SETTINGS_SAMPLE.rules, rights);
  it.each<[string, Partial<QuoteLine>]>([
    ["1.5 h clean slides", { kind: "labor", hours: 1.5, description: "clean slides" }],
    ["2 wiper blade 14.50", { kind: "part", quantity: 2, description: "wiper blade", priceCents: 1450 }],
    ["2 x wiper blade cost 8.40", { kind: "part", quantity: 2, costCents: 840, markup: "standard", priceCents: null }],
    ["fee parking 6", { kind: "fee", description: "parking", priceCents: 600 }],
    ["core battery 22.00", { kind: "core", description: "battery", priceCents: 2200 }],
    ["bought in alignment cost 80", { kind: "sublet", description: "alignment", costCents: 8000 }],
  ])("%s", (typed, line) => {
    expect(read(typed)).toMatchObject(line);
  });
  it.each([
    ["wiper blade", /a price at the end/],
    ["1.5 h", /hours and what is done/],
    ["bought in alignment 80", /what it costs us/],
  ])("%s says what is missing", (typed, words) => {
    expect(read(typed)).toMatch(words);
  });
  it("is labor alone for who may not change prices", () => {
    expect(read("2 wiper blade 14.50", { mayPrice: false, seesCost: false })).toMatch(/you may not change prices/);
    expect(read("1 h look", { mayPrice: false, seesCost: false })).toMatchObject({ kind: "labor" });
  });
});
