import { LIBRARY, run, start } from "../testing/sampleWorkOrder";
import { bodyTypeOf } from "./bodyTypes";
import { safetyQuestions } from "./safetyQuestions";

const VISIT = "01900000-0000-7000-8000-0000000000aa";
const mark = (id: string) => ({ type: "addMark" as const, id, x: 100, y: 200, kind: "dent" as const, note: "" });

it("asks what the jobs at hand need, and no more", () => {
  const [job] = LIBRARY;
  expect(safetyQuestions(job ? [job] : [])).toEqual(["awayFromTraffic", "chocked"]);
  const needs = { skill: null, carries: null, place: ["levelHardGround" as const], rights: ["highVoltage" as const] };
  expect(safetyQuestions([{ needs }])).toEqual([
    ...["levelHardGround", "awayFromTraffic", "chocked", "standsSet", "highVoltageDead"],
  ]);
});

it.each([
  ["4dr Sedan", "sedan"],
  ["Sport Utility Vehicle (SUV)", "suv"],
  ["Cargo Van", "van"],
  ["Crew Cab Pickup", "pickup"],
  ["Hatchback/Liftback", "hatchback"],
  [null, "sedan"],
])("%j is drawn as a %s", (body, type) => expect(bodyTypeOf(body)).toBe(type));

it("keeps the last word on each visit's place", () => {
  const judge = { type: "judgePlace" as const, visitId: VISIT, questions: [], reason: "" };
  let state = run(start(), { ...judge, isSafe: true });
  state = run(state, { ...judge, isSafe: false, reason: "On a slope" });
  expect(state.placesJudged).toMatchObject([{ isSafe: false, reason: "On a slope" }]);
});

it("keeps what a customer signed", () => {
  let state = run(run(start(), mark("m1")), mark("m2"));
  state = run(state, { type: "removeMark", id: "m2" });
  state = run(state, { type: "finishWalkRound", bodyType: "suv", signed: { name: "Maren", strokes: [[1, 1]] } });
  expect(() => run(state, { type: "removeMark", id: "m1" })).toThrow("mark/signed");
  state = run(run(state, mark("m3")), { type: "finishWalkRound", bodyType: "suv", signed: null });
  expect(state.walkRound?.signed?.name).toBe("Maren");
  expect(state.marks.map(({ id }) => id)).toEqual(["m1", "m3"]);
});

it("says that a car is apart until it is put together", () => {
  const apart = { isOff: "Both front brakes", partsLie: "In the trunk", isDrivable: false, toldTo: "Maren" };
  let state = run(start(), { type: "leaveApart", ...apart });
  expect(state.apart).toMatchObject(apart);
  state = run(run(state, { type: "putTogether" }), { type: "putTogether" });
  expect(state.apart).toBeNull();
  expect(state.wasApart).toHaveLength(1);
});
