import { run, start } from "../testing/sampleWorkOrder";
import { concernStanding, concernsLeftOpen, openConcerns } from "./standing";

const answer = {
  type: "answerConcern" as const,
  concernId: "c1",
  outcome: "found" as const,
  cause: "Pads worn to the metal",
  correction: "Replace front pads and rotors",
  reason: "",
};

it("is answered by a person, stays so when sent twice, and is opened again on purpose", () => {
  const state = run(start(), answer);
  const [concern] = state.concerns;
  expect(concern?.answer).toMatchObject({ cause: "Pads worn to the metal", by: "odile" });
  expect(openConcerns(state.concerns, [])).toEqual([]);
  const { id = "", text = "", kind = "fault", phraseId = null } = concern ?? {};
  const again = run(state, { type: "addConcern", concernId: id, text, kind, phraseId });
  expect(again.concerns[0]?.answer).toBeDefined();
  const opened = run(state, { type: "reopenConcern", concernId: "c1" });
  expect(opened.concerns[0]).not.toHaveProperty("answer");
});

it("is not answered by a job alone where it is a fault", () => {
  const [concern] = start().concerns;
  const jobs = [{ concernId: "c1" }];
  expect(concern && concernStanding(concern, jobs)).toBe("onQuote");
  expect(openConcerns(start().concerns, jobs)).toHaveLength(1);
  expect(openConcerns([{ ...start().concerns[0]!, kind: "wish" }], jobs)).toEqual([]);
});

it("of another work order is refused", () => {
  expect(() => run(start(), { ...answer, concernId: "none" })).toThrow("concern/not-found");
});

it("is counted as left open once the car was looked at, until somebody answers", () => {
  const grade = { type: "gradePoint" as const, pointId: "oil", grade: "sound" as const, measures: {}, note: "" };
  expect(concernsLeftOpen(start())).toBe(0);
  expect(concernsLeftOpen(run(start(), grade))).toBe(1);
  expect(concernsLeftOpen(run(run(start(), grade), answer))).toBe(0);
});
