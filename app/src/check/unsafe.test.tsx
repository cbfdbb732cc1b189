import { fireEvent, screen } from "@testing-library/react-native";
import { BUSINESS, fakeServer, givenCommands, resetSync, show } from "../testing/harness";
import { jobSample, stateSample, viewSample } from "../testing/samples";
import { UnsafePart } from "./UnsafePart";

const AT = "2026-11-23T17:00:00.000Z";
const findings = [{ pointId: "pads", grade: "unsafe" as const, measures: {}, note: "", at: AT, by: "me" }];
const given = givenCommands;

beforeEach(() => {
  fakeServer({});
  resetSync();
});

it("is told to a witness where nobody signs, and only with a name", () => {
  show(<UnsafePart view={viewSample({ state: stateSample({ findings }) })} business={BUSINESS} />);
  expect(screen.getByText("Nobody was told yet")).toBeTruthy();
  fireEvent.press(screen.getByTestId("tell-unsafe"));
  fireEvent.press(screen.getByRole("radio", { name: "They will not sign" }));
  fireEvent.press(screen.getByTestId("keep-told"));
  expect(given()).toEqual([]);
  fireEvent.changeText(screen.getByLabelText("Who was there"), "Ingrid Solheim");
  fireEvent.press(screen.getByTestId("keep-told"));
  expect(given()).toMatchObject([
    { type: "tellUnsafe", pointIds: ["pads"], name: "Maren Oyelaran", way: "witnessed", witness: "Ingrid Solheim" },
  ]);
});

it("says that they want it not mended, and goes only when somebody says how it was", () => {
  const jobs = [jobSample({ pointIds: ["pads"], answer: { value: "no", approvalId: "a", totalCents: 1 } })];
  const unsafeTold = [
    {
      id: "t",
      pointIds: ["pads"],
      name: "Maren",
      way: "signed" as const,
      witness: "",
      signature: [],
      at: AT,
      by: "me",
    },
  ];
  show(<UnsafePart view={viewSample({ state: stateSample({ findings, jobs, unsafeTold }) })} business={BUSINESS} />);
  expect(screen.getByText(/Maren was told .*, signed; they do not want it mended now/)).toBeTruthy();
  expect(screen.queryByTestId("tell-unsafe")).toBeNull();
  fireEvent.press(screen.getByRole("button", { name: "It is mended: Front brake pads" }));
  fireEvent.press(screen.getByRole("radio", { name: "Mended elsewhere, seen today" }));
  expect(given()).toMatchObject([{ type: "mendFinding", pointId: "pads", how: "Mended elsewhere, seen today" }]);
});

it("is not there where all is safe", () => {
  show(<UnsafePart view={viewSample()} business={BUSINESS} />);
  expect(screen.queryByText("Not safe to drive")).toBeNull();
});
