import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { USUAL_MESSAGES } from "@mechanon/core";
import { previewOf, textLengthWords } from "../messages/preview";
import { BUSINESS, fakeServer, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { useUnsavedForms } from "../unsaved/useUnsaved";
import { MessageSettings } from "./MessageSettings";
import { messagesOf, readMessages, typedMessagesOf } from "./typedMessages";

const SAVE = "PATCH /api/business/messages";
const patched = (server: ReturnType<typeof fakeServer>): unknown[] =>
  server.asked.filter(({ method }) => method === "PATCH").map(({ body }) => body);

it("shows at once what would be read, in both languages, and how many messages a text is", async () => {
  const server = fakeServer({ [SAVE]: { body: USUAL_MESSAGES } });
  show(<MessageSettings />);
  fireEvent.press(screen.getByRole("button", { name: "Booked: by itself" }));
  fireEvent.changeText(screen.getByLabelText("Text"), "Hi {customer}: {day}, {time}");
  expect(await screen.findByText("Hi Perpetua: Sat Dec 5, 10:30 am")).toBeTruthy();
  expect(screen.getByText("Goes out as 1 message.")).toBeTruthy();
  fireEvent.press(screen.getByRole("radio", { name: "Español" }));
  expect(await screen.findByDisplayValue(USUAL_MESSAGES.kinds.booked.es.text)).toBeTruthy();
  fireEvent.press(screen.getByRole("radio", { name: "Ask me first" }));
  fireEvent.press(screen.getByTestId("save-messages"));
  await waitFor(() => expect(patched(server)).toHaveLength(1));
  expect(patched(server)[0]).toMatchObject({
    messages: [{ to: { kinds: { booked: { rule: "ask", en: { text: "Hi {customer}: {day}, {time}" } } } } }],
  });
});

it("opens the template that has an unknown field, and saves nothing", async () => {
  const server = fakeServer({ [SAVE]: { body: USUAL_MESSAGES } });
  show(<MessageSettings />);
  fireEvent.press(screen.getByRole("button", { name: "Moved: by itself" }));
  fireEvent.changeText(screen.getByLabelText("Text"), "Hi {custmer}");
  fireEvent.press(screen.getByRole("button", { name: "Fold it again" }));
  fireEvent.press(screen.getByTestId("save-messages"));
  expect(await screen.findByText(/no field is called \{custmer\}/)).toBeTruthy();
  expect(patched(server)).toEqual([]);
});

it("reads back what it shows, and tells what does not fit", () => {
  const typed = typedMessagesOf(SETTINGS_SAMPLE);
  expect(messagesOf(readMessages.parse(typed))).toEqual(SETTINGS_SAMPLE.messages);
  const wrong = readMessages.safeParse({ ...typed, dayBefore: "noonish", late: "1" });
  expect(wrong.error?.issues.map(({ path }) => path[0])).toEqual(["dayBefore", "late"]);
});

it("says why a text is several messages", () => {
  expect(textLengthWords("a".repeat(161))).toBe("Goes out as 2 messages, each paid for.");
  expect(textLengthWords("í".repeat(71))).toMatch(/not in the alphabet of plain texts/);
  expect(previewOf("{business} {before}", "es", BUSINESS)).toBe("Larkhaven Driveway Garage jue 3 dic, 9:00 a. m.");
});

it("what stood typed in an app that knew fewer kinds comes back, the others as usual", () => {
  const { answered: _new, partsHere: _newer, ...before } = USUAL_MESSAGES.kinds;
  const kinds = { ...before, booked: { ...before.booked, rule: "ask" } };
  useUnsavedForms.setState({ forms: { "settings/messages": { ...typedMessagesOf(SETTINGS_SAMPLE), kinds } } });
  fakeServer({});
  show(<MessageSettings />);
  expect(screen.getByRole("button", { name: "Booked: asks first" })).toBeTruthy();
  expect(screen.getByRole("button", { name: "The parts are here: asks first" })).toBeTruthy();
});
