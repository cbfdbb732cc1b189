import { POINTS, run, start } from "../testing/sampleWorkOrder";
import { measureName } from "./measureName";
import { saidOnPaper } from "./saidOnPaper";

const ZONE = "America/Los_Angeles";
const unsafe = run(start(), { type: "gradePoint", pointId: "pads", grade: "unsafe", measures: {}, note: "" });
const told = run(unsafe, {
  ...{ type: "tellUnsafe", id: "t", pointIds: ["pads"], name: "Maren", way: "witnessed", witness: "Ingrid" },
  signature: [],
});

it("says what is not safe until it is mended, and whom it was told", () => {
  expect(saidOnPaper(unsafe, POINTS, "en", ZONE).unsafe).toEqual(["Not safe: Pads"]);
  expect(saidOnPaper(told, POINTS, "en", ZONE).unsafe[0]).toMatch(/^Not safe: Pads. Maren was told on /);
  const mended = run(told, { type: "mendFinding", pointId: "pads", how: "Replaced elsewhere" });
  expect(saidOnPaper(mended, POINTS, "en", ZONE).unsafe).toEqual([]);
});

it("says that they did not want it mended", () => {
  let state = run(told, {
    ...{ type: "addJob", jobId: "j", libraryJobId: "brakes", lineIds: ["x", "y"] },
    ...{ concernId: null, pointIds: ["pads"] },
  });
  state = run(state, {
    ...{ type: "recordAnswers", approvalId: "a", way: "spoken", name: "Maren", signature: [], totalCents: 0 },
    answers: [{ jobId: "j", title: "Brakes", answer: "no", totalCents: 0 }],
  });
  expect(saidOnPaper(state, POINTS, "en", ZONE).unsafe[0]).toMatch(/not mended as you wished/);
  expect(saidOnPaper(state, POINTS, "es", ZONE).unsafe[0]).toMatch(/^No es seguro y, por decisión suya/);
});

it("leaves no concern unsaid", () => {
  expect(saidOnPaper(start(), POINTS, "en", ZONE).concerns).toEqual([expect.stringMatching(/^Still open: “/)]);
  const answer = { type: "answerConcern" as const, concernId: "c1", cause: "Worn pads", correction: "", reason: "" };
  const found = run(start(), { ...answer, outcome: "found" });
  expect(saidOnPaper(found, POINTS, "en", ZONE).concerns[0]).toMatch(/: Worn pads$/);
  const none = run(start(), { ...answer, outcome: "noFault", cause: "", reason: "Driven, not heard" });
  expect(saidOnPaper(none, POINTS, "en", ZONE).concerns[0]).toMatch(/no fault found, Driven/);
});

it("names a measure in the customer's language, and the owner's own in their words", () => {
  expect(measureName("es", { kind: "tread", key: "inner", name: "Inner" })).toBe("Dibujo, interior");
  expect(measureName("es", { kind: "pad", key: "value", name: "Pad" })).toBe("Pastilla de freno");
  expect(measureName("es", { kind: "other", key: "low", name: "Low side" })).toBe("Low side");
});
