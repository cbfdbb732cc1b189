import { act, fireEvent, screen } from "@testing-library/react-native";
import type { WorkOrderState } from "@mechanon/core";
import { useSync } from "../sync/state";
import { BUSINESS, fakeServer, givenCommands, resetSync, show } from "../testing/harness";
import { pictureSample, stateSample, viewSample } from "../testing/samples";
import { visited } from "../testing/router";
import { CheckScreen } from "./CheckScreen";

jest.mock("react-hotkeys-hook", () => ({ useHotkeys: () => undefined }));

const AT = "2026-11-23T17:00:00.000Z";
const given = givenCommands;
/** The sheet as this device has it, with what is done here applied to it. */
function open(state: Partial<WorkOrderState> = {}, carBefore: Partial<Parameters<typeof viewSample>[0]> = {}): void {
  resetSync({ "order-1": viewSample({ state: stateSample(state), ...carBefore }) });
  show(<CheckScreen id="order-1" />);
}
const press = (name: RegExp | string): void => fireEvent.press(screen.getByRole("radio", { name }));
const finding = (pointId: string, over: object = {}) => ({
  ...{ pointId, grade: "act" as const, measures: {}, note: "", at: AT, by: "me" },
  ...over,
});

beforeEach(() => {
  fakeServer({});
  visited.length = 0;
});

describe("the check", () => {
  it("begins the sheet with the first grade, and brings the next point by itself", () => {
    open();
    expect(screen.getByLabelText("At hand: Front brake pads")).toBeTruthy();
    press("Sound");
    expect(given()).toMatchObject([
      { type: "startSheet", sheetId: "quick" },
      { type: "gradePoint", pointId: "pads", grade: "sound", over: null },
    ]);
    expect(screen.getByLabelText("At hand: Engine oil")).toBeTruthy();
    expect(screen.getByTestId("progress")).toHaveTextContent("1 of 2 points");
  });
  it("grades by a measurement in one tap, stays with what is bad, and says why", () => {
    open();
    fireEvent.press(screen.getByTestId("value-2"));
    expect(given().at(-1)).toMatchObject({ type: "gradePoint", grade: "act", measures: { value: 2 } });
    expect(screen.getByText("Pad 2 mm. Limit of the sheet: at least 3 mm.")).toBeTruthy();
    fireEvent.press(screen.getByTestId("next-point"));
    expect(screen.getByLabelText("At hand: Engine oil")).toBeTruthy();
  });
  it("asks about inches where millimeters are meant, and takes what was meant", () => {
    open();
    fireEvent.press(screen.getByRole("button", { name: "Type Pad" }));
    fireEvent.changeText(screen.getByLabelText("Pad, mm"), "0.3");
    fireEvent(screen.getByLabelText("Pad, mm"), "blur");
    expect(given()).toEqual([]);
    expect(screen.getByText(/Were it inches, it would be 7.5 mm/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("measure-likely"));
    expect(given().at(-1)).toMatchObject({ grade: "sound", measures: { value: 7.5 } });
  });
  it("takes the rest of an area as sound, and all of it back", () => {
    const [pads] = BUSINESS.settings.inspection;
    const more = ["a", "b"].map((id) => ({ ...pads!, id, title: `Line ${id}`, measures: [] }));
    const sheet = {
      sheetId: "s",
      title: "Brakes",
      points: more,
      startedAt: AT,
      startedBy: "me",
      closedAt: null,
      closedBy: null,
    };
    open({ sheets: [sheet], sheetsLeftOut: ["quick"] });
    fireEvent.press(screen.getByTestId("rest-Brakes"));
    expect(given()).toMatchObject([{ type: "gradeRest", pointIds: ["a", "b"] }]);
    fireEvent.press(screen.getByTestId("undo"));
    expect(given().slice(1)).toMatchObject([
      { type: "ungradePoint", pointIds: ["a"] },
      { type: "ungradePoint", pointIds: ["b"] },
    ]);
  });
  it("takes a grade back to what it was", () => {
    open({ findings: [finding("pads", { grade: "watch", note: "Slides stuck" })] });
    fireEvent.press(screen.getByTestId("point-pads"));
    fireEvent.press(screen.getByTestId("change-grade"));
    press("Act now");
    fireEvent.press(screen.getByTestId("undo"));
    expect(given().at(-1)).toMatchObject({ type: "gradePoint", grade: "watch", note: "Slides stuck" });
  });
  it("does not let what the law calls unsafe be graded milder", () => {
    const [pads] = BUSINESS.settings.inspection;
    const tread = {
      ...pads!,
      id: "t",
      title: "Tire",
      measures: [{ ...pads!.measures[0]!, kind: "tread" as const, unit: "/32 in", step: 1, most: 13 }],
    };
    const sheet = {
      sheetId: "s",
      title: "Tires",
      points: [tread],
      startedAt: AT,
      startedBy: "me",
      closedAt: null,
      closedBy: null,
    };
    open({ sheets: [sheet], sheetsLeftOut: ["quick"] });
    fireEvent.press(screen.getByTestId("value-1"));
    expect(given().at(-1)).toMatchObject({ grade: "unsafe", measures: { value: 1 } });
    expect(screen.getByText(/The law wants at least 2\/32 in/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("change-grade"));
    press("Sound");
    expect(given().at(-1)).toMatchObject({ grade: "unsafe" });
  });
  it("writes notes by touch, and says why a point was not seen", () => {
    open({ findings: [finding("pads")] });
    fireEvent.press(screen.getByTestId("point-pads"));
    fireEvent.press(screen.getByRole("checkbox", { name: "Slides stuck" }));
    expect(given().at(-1)).toMatchObject({ note: "Slides stuck" });
    fireEvent.press(screen.getByTestId("change-grade"));
    press("Not seen");
    fireEvent.press(screen.getByRole("checkbox", { name: "Too hot" }));
    expect(given().at(-1)).toMatchObject({ grade: "skipped", note: "Slides stuck; Too hot" });
  });
  it("puts the cure on the quote in one tap, with its finding; a job that is there takes it along", () => {
    open({ findings: [finding("oil")] });
    fireEvent.press(screen.getByTestId("point-oil"));
    fireEvent.press(screen.getByTestId("cure-wipers"));
    expect(given().at(-1)).toMatchObject({ type: "addJob", libraryJobId: "wipers", pointIds: ["oil"] });
    expect(screen.getByText("On the quote: Wiper blades")).toBeTruthy();
  });
  it("shows how a part wears, with what was measured before", () => {
    const before = { pointId: "pads", key: "value", odometer: 40_000, date: "2026-01-10", value: 8 };
    const carBefore = { visits: 1, sheets: [], measures: [before], pictures: [], unsafe: [], apart: [] };
    open(
      {
        odometerMiles: { value: 52_000, at: AT },
        findings: [finding("pads", { measures: { value: 4 }, grade: "watch" })],
      },
      { carBefore },
    );
    fireEvent.press(screen.getByTestId("point-pads"));
    expect(screen.getAllByLabelText(/8 mm at 40,000 mi, 4 mm at 52,000 mi\. 3,000 mi left to 3 mm/)).toBeTruthy();
  });
  it("closes with a reason for what nobody saw, and says which concerns stay open", () => {
    const concerns = [{ id: "c", text: "Brakes grind", kind: "fault" as const, phraseId: "grind", at: AT }];
    open({ concerns, findings: [finding("pads", { grade: "sound", measures: { value: 8 } })] });
    fireEvent.press(screen.getByRole("button", { name: "Close it as it is" }));
    expect(screen.getByText(/1 concern is open: “Brakes grind”/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("close-sheet-sure"));
    expect(given()).toEqual([]);
    press("No time today");
    fireEvent.press(screen.getByTestId("close-sheet-sure"));
    expect(given().at(-1)).toMatchObject({ type: "closeSheet", notSeen: ["oil"], why: "No time today" });
    expect(visited).toEqual(["/work/order-1"]);
  });
  it("writes cause and correction in four taps, and opens the concern again", () => {
    const concerns = [{ id: "c", text: "Brakes grind", kind: "fault" as const, phraseId: "grind", at: AT }];
    open({ concerns });
    fireEvent.press(screen.getByTestId("answer-c"));
    press("Pads worn to the metal");
    press("Replace pads and rotors");
    fireEvent.press(screen.getByTestId("keep-answer"));
    expect(given()).toMatchObject([
      {
        type: "answerConcern",
        outcome: "found",
        cause: "Pads worn to the metal",
        correction: "Replace pads and rotors",
      },
    ]);
    expect(screen.getByText("Cause: Pads worn to the metal")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Open it again: Brakes grind" }));
    expect(given().at(-1)).toMatchObject({ type: "reopenConcern" });
  });
  it("takes no fault found for an answer, with what was tried", () => {
    const concerns = [{ id: "c", text: "Hums", kind: "fault" as const, phraseId: null, at: AT }];
    open({ concerns });
    fireEvent.press(screen.getByTestId("answer-c"));
    press("No fault found");
    fireEvent.press(screen.getByTestId("keep-answer"));
    expect(given()).toEqual([]);
    press("Driven, not heard");
    fireEvent.press(screen.getByTestId("keep-answer"));
    expect(given()).toMatchObject([{ outcome: "noFault", reason: "Driven, not heard", cause: "" }]);
  });
  it("shows photos of the point, those of before, and one that waits", async () => {
    const pictures = [pictureSample({ photoId: "now" })];
    const old = { photoId: "old", media: "photo" as const, pointId: "pads", at: "2025-11-20T17:00:00.000Z" };
    const carBefore = { visits: 1, sheets: [], measures: [], pictures: [old], unsafe: [], apart: [] };
    open({ findings: [finding("pads")], pictures }, { carBefore });
    act(() => useSync.setState({ photos: [{ id: "now", refusal: null, place: null, sentShare: 0.4 }] }));
    fireEvent.press(screen.getByTestId("point-pads"));
    expect(screen.getByText("40 % sent")).toBeTruthy();
    expect(await screen.findByLabelText("Front brake pads before, photo 1")).toBeTruthy();
  });
  it("takes another sheet out, and leaves one out", () => {
    open();
    fireEvent.press(screen.getByRole("button", { name: "Leave this sheet out" }));
    expect(given()).toMatchObject([{ type: "leaveOutSheet", sheetId: "quick" }]);
    expect(screen.getByText(/No sheet comes by itself here/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("take-quick"));
    expect(given().at(-1)).toMatchObject({ type: "startSheet", sheetId: "quick" });
  });
});
