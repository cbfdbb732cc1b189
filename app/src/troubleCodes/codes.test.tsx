import { fireEvent, screen } from "@testing-library/react-native";
import { BUSINESS, fakeServer, givenCommands, resetSync, show } from "../testing/harness";
import { stateSample, viewSample } from "../testing/samples";
import { CodesPart } from "./CodesPart";

const AT = "2026-11-23T17:00:00.000Z";
const concerns = [{ id: "c", text: "Engine light is on", kind: "fault" as const, phraseId: null, at: AT }];
const given = givenCommands;

beforeEach(() => {
  fakeServer({});
  resetSync();
});
function open(codes: Parameters<typeof stateSample>[0] = {}): void {
  show(<CodesPart view={viewSample({ state: stateSample({ concerns, ...codes }) })} business={BUSINESS} />);
  fireEvent.press(screen.getByLabelText(/^Reader's codes/));
}

it("are found by number or words, and go to the one concern there is", () => {
  open();
  fireEvent.changeText(screen.getByLabelText("Code or what it says"), "p0301");
  fireEvent.press(screen.getByTestId("code-P0301"));
  expect(given()).toMatchObject([
    { type: "noteCode", code: "P0301", words: "Misfires on cylinder 1", when: "before", concernId: "c" },
  ]);
});

it("of a maker's own are taken with what the reader says", () => {
  open();
  fireEvent.changeText(screen.getByLabelText("Code or what it says"), "P1456");
  fireEvent.changeText(screen.getByLabelText(/^What P1456 stands for/), "Purge line");
  fireEvent.press(screen.getByTestId("add-code"));
  expect(given()).toMatchObject([{ code: "P1456", words: "Purge line" }]);
});

it("are noted after the work, too, and none is a word of its own", () => {
  const code = {
    id: "1",
    code: "P0301",
    words: "Misfires",
    when: "before" as const,
    concernId: null,
    at: AT,
    by: "me",
  };
  open({ codes: [code] });
  expect(screen.getByText("1 code before the work")).toBeTruthy();
  fireEvent.press(screen.getByRole("radio", { name: "Engine light is on" }));
  fireEvent.press(screen.getByRole("radio", { name: "After the work" }));
  fireEvent.press(screen.getByRole("button", { name: "The reader found none" }));
  expect(given()).toMatchObject([
    { type: "noteCode", id: "1", concernId: "c" },
    { type: "noteNoCodes", when: "after" },
  ]);
});
