import { LIBRARY, POINTS, run, start } from "../testing/sampleWorkOrder";
import { gradeFromMeasurement, openPoints } from "./grade";
import { offersForConcerns, offersForFindings } from "./offers";

describe("inspection", () => {
  const [pads, oil] = POINTS;
  it.each([
    [2.9, "act"],
    [3, "watch"],
    [4.9, "watch"],
    [5, "sound"],
  ])("%p mm is %p", (measured, grade) => expect(pads && gradeFromMeasurement(pads, measured)).toBe(grade));
  it("has no grade where nothing is measured, and knows what is open", () => {
    expect(oil && gradeFromMeasurement(oil, 1)).toBeNull();
    const state = run(start(), { type: "gradePoint", pointId: "pads", grade: "act", measured: 2, note: "" });
    expect(openPoints(POINTS, state.findings).map(({ id }) => id)).toEqual(["oil"]);
  });
  it("offers the cure for a bad point and the answer to a concern, once", () => {
    const state = run(start(), { type: "gradePoint", pointId: "pads", grade: "act", measured: 2, note: "" });
    expect(offersForFindings(state, LIBRARY)).toMatchObject([{ pointId: "pads", libraryJob: { id: "brakes" } }]);
    expect(offersForConcerns(state, LIBRARY)).toMatchObject([{ concernId: "c1" }]);
    const onQuote = run(state, {
      type: "addJob",
      jobId: "j",
      libraryJobId: "brakes",
      lineIds: ["x", "y"],
      concernId: "c1",
      pointId: "pads",
    });
    expect([...offersForFindings(onQuote, LIBRARY), ...offersForConcerns(onQuote, LIBRARY)]).toEqual([]);
  });
});
