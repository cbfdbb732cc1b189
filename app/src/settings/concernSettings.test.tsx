import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { ConcernSettings } from "./ConcernSettings";

const [GRIND] = SETTINGS_SAMPLE.concerns;
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
      concerns: [{ from: GRIND, to: { ...GRIND, text: "Brakes grind {when}", kind: "wish" } }],
      concernGaps: [{ from: SETTINGS_SAMPLE.concernGaps[0], to: { name: "when", choices: ["when cold", "when wet"] } }],
    }),
  );
  expect(await screen.findByText(/Saved\. New work orders/)).toBeTruthy();
});

it("keeps ready causes and corrections, a line each", async () => {
  const server = open();
  fireEvent.press(screen.getByRole("button", { name: "Change Brakes grind" }));
  const field = screen.getByLabelText("What it usually turns out to be");
  fireEvent.changeText(field, "Pads worn to the metal\n\n  Stone in the shield \nStone in the shield");
  fireEvent(field, "blur");
  fireEvent.press(screen.getByTestId("save-concerns"));
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      concerns: [{ to: { causes: ["Pads worn to the metal", "Stone in the shield"] } }],
    }),
  );
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
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      concerns: [
        { from: GRIND, to: null },
        { from: null, to: { text: "Steering pulls", kind: "fault", area: "Service" } },
      ],
    }),
  );
});

it("keeps what was typed when the server refuses it", async () => {
  const server = open(problemReply(400, "list/too-long", "The list is full."));
  fireEvent.press(screen.getByRole("button", { name: "Change Brakes grind" }));
  fireEvent.changeText(screen.getByLabelText("Phrase"), "  ");
  fireEvent.press(screen.getByTestId("save-concerns"));
  expect(await screen.findByText("✕ a phrase needs its words")).toBeTruthy();
  expect(await screen.findByText(/Nothing was saved; put it right/)).toBeTruthy();
  expect(server.asked).toEqual([]);
  fireEvent.changeText(screen.getByLabelText("Phrase"), "Brakes hum");
  fireEvent.press(screen.getByTestId("save-concerns"));
  expect(await screen.findByText("The list is full.")).toBeTruthy();
  expect(screen.getByLabelText("Phrase").props.value).toBe("Brakes hum");
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
  // Theirs is not sent again: it is there.
  expect(server.asked.filter(({ method }) => method === "PATCH").at(-1)?.body).toMatchObject({
    concerns: [{ from: null, to: { text: "Clicks at idle" } }],
  });
});
