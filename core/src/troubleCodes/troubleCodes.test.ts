import { run, start } from "../testing/sampleWorkOrder";
import { codeWords, findCodes } from "./codeWords";
import { GENERIC_CODES } from "./genericCodes";
import { readCode } from "./readCode";

it.each([
  ["p0301", { code: "P0301", system: "powertrain", isGeneric: true }],
  [" P 0301-00 ", { code: "P0301", system: "powertrain", isGeneric: true }],
  ["P1456", { code: "P1456", system: "powertrain", isGeneric: false }],
  ["P3401", { code: "P3401", system: "powertrain", isGeneric: true }],
  ["u0100", { code: "U0100", system: "network", isGeneric: true }],
  ["C1234", { code: "C1234", system: "chassis", isGeneric: false }],
  ["B00A1", { code: "B00A1", system: "body", isGeneric: true }],
  ["X0301", null],
  ["P4301", null],
  ["P030", null],
])("%j is read as %j", (typed, read) => expect(readCode(typed)).toEqual(read));

const note = (id: string, code: string, when: "before" | "after") => ({
  ...{ type: "noteCode" as const, id, code, words: "Misfire", when, concernId: "c1" },
});
it("keeps a code once before the work and once after it", () => {
  let state = run(start(), { type: "noteNoCodes", when: "before" });
  state = run(run(run(state, note("1", "p0301", "before")), note("2", "P0301", "before")), note("3", "P0301", "after"));
  expect(state.codes).toMatchObject([
    { id: "2", code: "P0301", when: "before", concernId: "c1" },
    { id: "3", when: "after" },
  ]);
  expect(state.noCodes).toEqual([]);
  state = run(state, { type: "removeCode", id: "3" });
  state = run(run(state, { type: "noteNoCodes", when: "after" }), { type: "noteNoCodes", when: "after" });
  expect([state.codes.length, state.noCodes.length]).toEqual([1, 1]);
  expect(() => run(state, { type: "removeCode", id: "3" })).toThrow("code/not-found");
});

describe("the words of codes", () => {
  it("are there for four hundred generic ones, each a code of the standard", () => {
    const codes = Object.keys(GENERIC_CODES);
    expect(codes.length).toBeGreaterThanOrEqual(400);
    for (const code of codes)
      expect([code, readCode(code)]).toEqual([code, expect.objectContaining({ code, isGeneric: true })]);
    expect(Object.values(GENERIC_CODES).every((words) => words.length > 5 && words.length < 80)).toBe(true);
  });
  it("are found by number and by words; a maker's own has none", () => {
    expect(codeWords("p0171")).toBe("Mixture, bank 1: too lean");
    expect(codeWords("P0210")).toBe("Injector, cylinder 10: fault in its circuit");
    expect(codeWords("P1456")).toBeNull();
    expect(findCodes("p030").map(({ code }) => code)).toContain("P0301");
    expect(findCodes("small leak").map(({ code }) => code)).toContain("P0442");
    expect(findCodes("p")).toEqual([]);
  });
});
