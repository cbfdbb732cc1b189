import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { ConcernSettings } from "./ConcernSettings";

const SAVE = "PATCH /api/business/concerns";
function open(reply: Parameters<typeof fakeServer>[0][string] = { body: SETTINGS_SAMPLE }) {
  const server = fakeServer({ [SAVE]: reply, "GET /api/business": { body: BUSINESS } });
  show(<ConcernSettings />);
  return server;
}
const sent = (server: ReturnType<typeof fakeServer>): unknown =>
  server.asked.find(({ method }) => method === "PATCH")?.body;

it("changes a phrase with a gap, says how it reads without, and keeps it", async () => {
  const server = open();
  fireEvent.press(screen.getByRole("button", { name: "Change Brakes grind" }));
  fireEvent.changeText(screen.getByLabelText("Phrase"), "Brakes grind {when}");
  expect(screen.getByText("Without its gaps: Brakes grind")).toBeTruthy();
  fireEvent.press(screen.getByRole("radio", { name: "Wish" }));
  fireEvent.press(screen.getByRole("button", { name: "Done" }));
  fireEvent.changeText(screen.getByLabelText("when"), "when cold, when wet, when cold,");
  fireEvent.press(screen.getByTestId("save-concerns"));
  await waitFor(() =>
    expect(sent(server)).toEqual({
      version: 1,
      concerns: [{ id: "grind", text: "Brakes grind {when}", kind: "wish", area: "Brakes" }],
      concernGaps: [{ name: "when", choices: ["when cold", "when wet"] }],
    }),
  );
  expect(await screen.findByText(/Saved\. New work orders/)).toBeTruthy();
});

it("points at gaps that nothing is offered for, and takes them up", () => {
  open();
  fireEvent.press(screen.getByRole("button", { name: "Change Brakes grind" }));
  fireEvent.changeText(screen.getByLabelText("Phrase"), "Brakes grind {where}");
  expect(screen.getByText("Nothing is offered yet for: where.")).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Add them below" }));
  expect(screen.getByLabelText("where")).toBeTruthy();
  expect(screen.queryByText(/Nothing is offered yet/)).toBeNull();
});

it("moves a phrase to another area when the field is left, not with each letter", () => {
  open();
  fireEvent.press(screen.getByRole("button", { name: "Change Brakes grind" }));
  fireEvent.changeText(screen.getByLabelText("Area"), "Wheels");
  expect(screen.getByRole("heading", { name: "Brakes" })).toBeTruthy();
  fireEvent(screen.getByLabelText("Area"), "blur");
  expect(screen.getByRole("heading", { name: "Wheels" })).toBeTruthy();
});

it("finds phrases by their words and area, adds one, and takes one out", async () => {
  const server = open();
  fireEvent.changeText(screen.getByLabelText("Search the phrases"), "steer");
  expect(screen.getByText("No phrase has that in it.")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Search the phrases"), "BRAKES");
  fireEvent.press(screen.getByRole("button", { name: "Change Brakes grind" }));
  fireEvent.press(screen.getByRole("button", { name: "Take it out" }));
  fireEvent.press(screen.getByTestId("add-phrase"));
  fireEvent.changeText(screen.getByLabelText("Phrase"), "Steering pulls");
  fireEvent.press(screen.getByTestId("save-concerns"));
  await waitFor(() => expect(sent(server)).toMatchObject({ concerns: [{ text: "Steering pulls", kind: "fault", area: "Service" }] })); // prettier-ignore
});

it("keeps what was typed when the server refuses it", async () => {
  open(problemReply(400, "request/invalid", "A phrase has no words."));
  fireEvent.press(screen.getByRole("button", { name: "Change Brakes grind" }));
  fireEvent.changeText(screen.getByLabelText("Phrase"), "  ");
  fireEvent.press(screen.getByTestId("save-concerns"));
  expect(await screen.findByText("A phrase has no words.")).toBeTruthy();
  expect(screen.getByLabelText("Phrase").props.value).toBe("  ");
});

it("takes in what somebody else changed meanwhile, and saves both then", async () => {
  const theirs = { id: "theirs", text: "Squeals when reversing", kind: "fault", area: "Brakes" };
  const newest = {
    ...BUSINESS,
    settings: {
      ...BUSINESS.settings,
      versions: { ...BUSINESS.settings.versions, concerns: 4 },
      concerns: [...BUSINESS.settings.concerns, theirs],
    },
  };
  const server = fakeServer({
    "PATCH /api/business/concerns": ({ body }) =>
      (body as { version: number }).version === 4
        ? { body: { concerns: newest.settings.concerns, concernGaps: [] } }
        : problemReply(409, "version/changed", "Somebody else changed this list meanwhile."),
    "GET /api/business": { body: newest },
  });
  show(<ConcernSettings />);
  fireEvent.press(screen.getByTestId("add-phrase"));
  fireEvent.changeText(screen.getByLabelText("Phrase"), "Clicks at idle");
  fireEvent.press(screen.getByTestId("save-concerns"));
  await screen.findByText(/their changes are in it now beside yours/);
  fireEvent.press(screen.getByTestId("save-concerns"));
  await screen.findByText(/^Saved/);
  const saved = server.asked.filter(({ method }) => method === "PATCH").at(-1)?.body as {
    concerns: { text: string }[];
  };
  expect(saved.concerns.map(({ text }) => text)).toEqual(["Brakes grind", "Squeals when reversing", "Clicks at idle"]);
});
