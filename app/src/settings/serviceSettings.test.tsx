import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { BUSINESS, fakeServer, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { listed, readListed } from "./listed";
import { ServiceSettings } from "./ServiceSettings";
import { useUnsavedForms } from "../unsaved/useUnsaved";
import { wholeNumber } from "./wholeNumber";

const [OIL] = SETTINGS_SAMPLE.intervals;
const SAVE = "PATCH /api/business/intervals";
function open(reply: Parameters<typeof fakeServer>[0][string] = { body: SETTINGS_SAMPLE }) {
  const server = fakeServer({ [SAVE]: reply, "GET /api/business": { body: BUSINESS } });
  show(<ServiceSettings />);
  return server;
}
const sent = (server: ReturnType<typeof fakeServer>): unknown =>
  server.asked.find(({ method }) => method === "PATCH")?.body;

it("changes how often a service is due; nothing typed is as the spec sheet says", async () => {
  const server = open();
  fireEvent.changeText(screen.getByLabelText("Miles, Oil and filter"), "6,500");
  fireEvent.changeText(screen.getByLabelText("Months, Oil and filter"), "");
  fireEvent.press(screen.getByRole("checkbox", { name: "Wiper blades" }));
  fireEvent.press(screen.getByTestId("save-services"));
  await waitFor(() =>
    expect(sent(server)).toEqual({
      version: 1,
      intervals: [{ from: OIL, to: { id: "oil", title: "Oil and filter", miles: 6500, months: null, jobIds: [] } }],
    }),
  );
  expect(await screen.findByText(/Saved\. What is due/)).toBeTruthy();
  expect(useUnsavedForms.getState().forms).toEqual({});
});

it("sends nothing while a figure is none, and says at which", async () => {
  const server = open();
  fireEvent.changeText(screen.getByLabelText("Miles, Oil and filter"), "a lot");
  fireEvent.press(screen.getByTestId("save-services"));
  expect(await screen.findByText("✕ whole miles from 100 to 500,000, or empty")).toBeTruthy();
  expect(await screen.findByText(/Nothing was saved; put it right/)).toBeTruthy();
  expect(server.asked).toEqual([]);
});

it("adds a service with the jobs that do it, and takes one off", async () => {
  const server = open();
  fireEvent.press(screen.getByRole("button", { name: "Take Oil and filter off the list" }));
  fireEvent.press(screen.getByRole("button", { name: "Add a service" }));
  fireEvent.changeText(screen.getByLabelText("Service"), "Wipers");
  expect(screen.queryByRole("checkbox", { name: "Wiper blades" })).toBeNull();
  fireEvent.press(screen.getByRole("button", { name: "Other jobs that do Wipers" }));
  fireEvent.press(screen.getByRole("checkbox", { name: "Wiper blades" }));
  fireEvent.press(screen.getByTestId("save-services"));
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      intervals: [
        { from: OIL, to: null },
        { from: null, to: { title: "Wipers", miles: null, jobIds: ["wipers"] } },
      ],
    }),
  );
});

it("keeps what was typed without a connection", async () => {
  open("down");
  fireEvent.changeText(screen.getByLabelText("Miles, Oil and filter"), "7000");
  fireEvent.press(screen.getByTestId("save-services"));
  expect(await screen.findByText(/No connection to the server/)).toBeTruthy();
  expect(screen.getByLabelText("Miles, Oil and filter").props.value).toBe("7000");
});

it.each<[string, number | null]>([
  ["6,500", 6500],
  [" 12 000 ", 12_000],
  ["", null],
  ["0", 0],
  ["1.5", NaN],
  ["-3", NaN],
  ["6k", NaN],
])("reads %j as a whole number", (typed, value) => {
  expect(wholeNumber(typed)).toBe(value);
});

it("reads lists as people write them", () => {
  expect(readListed(" when cold ,when hot,, when cold")).toEqual(["when cold", "when hot"]);
  expect(readListed(" , ")).toEqual([]);
  expect(listed(["a", "b"])).toBe("a, b");
});
