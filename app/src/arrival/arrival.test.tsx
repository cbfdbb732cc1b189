import { fireEvent, screen } from "@testing-library/react-native";
import type { WorkOrderState } from "@mechanon/core";
import { BUSINESS, fakeServer, givenCommands, resetSync, show } from "../testing/harness";
import { pictureSample, stateSample, viewSample, visitSample } from "../testing/samples";
import { useUnsavedForms } from "../unsaved/useUnsaved";
import { ApartPart } from "./ApartPart";
import { arrivalLine, fuelWords } from "./arrivalWords";
import { BODY_OUTLINES } from "./bodyOutlines";
import { FuelField } from "./FuelField";
import { LampsField } from "./LampsField";
import { PlaceGate } from "./PlaceGate";
import { placeOnDrawing } from "./placeOnDrawing";
import { WalkRound } from "./WalkRound";
import { CarWarnings } from "../work/CarWarnings";

const AT = "2026-11-23T17:00:00.000Z";
const given = givenCommands;
const onSite = visitSample({ setOffAt: AT, arrivedAt: AT });
const view = (state: Partial<WorkOrderState> = {}, over: Parameters<typeof viewSample>[0] = {}) =>
  viewSample({ state: stateSample(state), visits: [onSite], ...over });

beforeEach(() => {
  fakeServer({});
  resetSync();
  useUnsavedForms.setState({ forms: {} });
});

describe("the place", () => {
  it("is safe with one tap", () => {
    show(<PlaceGate view={view()} business={BUSINESS} />);
    fireEvent.press(screen.getByTestId("place-safe"));
    expect(given()).toMatchObject([
      { type: "judgePlace", visitId: "v", isSafe: true, questions: ["awayFromTraffic", "chocked"], reason: "" },
    ]);
  });
  it("is refused with a reason, and the fee they agreed to", () => {
    const arranged = { ...onSite.arranged, termsAcceptedAt: AT };
    const visits = { ...BUSINESS.settings.visits, callOffFeeCents: 3500 };
    const business = { ...BUSINESS, settings: { ...BUSINESS.settings, visits } };
    show(<PlaceGate view={view({}, { visits: [{ ...onSite, arranged }] })} business={business} />);
    fireEvent.press(screen.getByTestId("place-unsafe"));
    fireEvent.press(screen.getByTestId("keep-unsafe-place"));
    expect(given()).toEqual([]);
    fireEvent.press(screen.getByRole("checkbox", { name: "Wheels chocked" }));
    fireEvent.press(screen.getByRole("button", { name: /the fee they agreed to on the bill, \$35.00/ }));
    fireEvent.press(screen.getByTestId("keep-unsafe-place"));
    expect(given()).toMatchObject([
      { type: "addVisitFee", kind: "callOff" },
      { type: "judgePlace", isSafe: false, questions: ["chocked"], reason: "no: wheels chocked" },
    ]);
  });
  it("asks no fee of who agreed to none, and says what was judged", async () => {
    const judged = { visitId: "v", isSafe: false, questions: [], reason: "On a slope", at: AT, by: "me" };
    const pictures = [pictureSample({ of: "place", id: "v" })];
    show(<PlaceGate view={view({ placesJudged: [judged], pictures })} business={BUSINESS} />);
    expect(screen.getByText("Cannot be done safely here: On a slope")).toBeTruthy();
    expect(await screen.findByLabelText("The place, photo 1")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "It is safe now" }));
    expect(given()).toMatchObject([{ isSafe: true }]);
  });
});

it("notes fuel and lamps by a tap each", () => {
  show(
    <>
      <FuelField view={view()} />
      <LampsField view={view()} />
    </>,
  );
  fireEvent.press(screen.getByRole("radio", { name: "1/2" }));
  fireEvent.press(screen.getByTestId("no-lamps"));
  fireEvent.press(screen.getByRole("button", { name: "Some are on" }));
  fireEvent.press(screen.getByRole("checkbox", { name: "ABS" }));
  expect(given()).toMatchObject([
    { type: "recordFuel", eighths: 4, percent: null },
    { type: "recordLamps", on: [] },
    { type: "recordLamps", on: ["abs"] },
  ]);
});

it("says what of the arrival matters when it is folded", () => {
  const state = stateSample({ fuel: { eighths: 2, percent: null, at: AT }, lamps: { on: ["abs"], at: AT, by: "me" } });
  expect(arrivalLine(state)).toBe("fuel 1/4, 1 lamp");
  expect(fuelWords({ eighths: null, percent: 50 })).toBe("50 %");
});

describe("the walk-round", () => {
  const mark = { id: "m1", x: 300, y: 400, kind: "scratch" as const, note: "", at: AT, by: "me" };
  it("changes a mark, and is done without a signature", () => {
    show(<WalkRound view={view({ marks: [mark] })} />);
    fireEvent.press(screen.getByTestId("walk-round"));
    expect(screen.getByLabelText("Outline of the car, 1 mark")).toBeTruthy();
    fireEvent.press(screen.getByTestId("walk-round-done"));
    expect(given()).toMatchObject([{ type: "finishWalkRound", bodyType: "sedan", signed: null }]);
  });
  it("has an outline for every body, all within their drawing", () => {
    for (const { body, lines } of Object.values(BODY_OUTLINES))
      for (const path of [body, ...lines])
        for (const number of path.match(/-?\d+/g) ?? []) expect([path, Number(number) <= 1000]).toEqual([path, true]);
  });
  it("knows no place where nothing tells it", () => {
    expect(placeOnDrawing(null, { pageX: 1, pageY: 1 })).toBeNull();
  });
});

describe("a car left apart", () => {
  it("says what is off, and whether it can be driven", () => {
    show(<ApartPart view={view()} business={BUSINESS} />);
    fireEvent.press(screen.getByRole("button", { name: "It must be left apart" }));
    fireEvent.changeText(screen.getByLabelText("What is off"), "Both front wheels");
    fireEvent.press(screen.getByTestId("keep-apart"));
    expect(given()).toEqual([]);
    fireEvent.press(screen.getByRole("radio", { name: "Must not be driven" }));
    fireEvent.press(screen.getByTestId("keep-apart"));
    expect(given()).toMatchObject([
      { type: "leaveApart", isOff: "Both front wheels", isDrivable: false, toldTo: "Maren Oyelaran" },
    ]);
  });
  it("stands on top until it is together, of other orders, too, as does what is not safe", () => {
    const apart = { isOff: "Exhaust", partsLie: "In the trunk", isDrivable: true, toldTo: "", at: AT, by: "me" };
    const known = {
      ...{ visits: 1, sheets: [], measures: [], pictures: [], apart: [] },
      unsafe: [{ workOrderId: "o", number: 1003, pointId: "pads", title: "Pads", at: AT, isTold: false }],
    };
    show(<CarWarnings view={view({ apart }, { carBefore: known })} business={BUSINESS} />);
    expect(screen.getByText("The car lies apart: Exhaust; parts: In the trunk; it can be driven")).toBeTruthy();
    expect(screen.getByText(/Not safe since .*: Pads; nobody was told \(No. 1003\)/)).toBeTruthy();
    screen.unmount();
    show(<ApartPart view={view({ apart })} business={BUSINESS} />);
    fireEvent.press(screen.getByTestId("put-together"));
    expect(given()).toMatchObject([{ type: "putTogether" }]);
  });
});
