import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { BUSINESS, fakeServer, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { InspectionSettings } from "./InspectionSettings";
import { linesOf } from "./LinesField";

const SAVE = "PATCH /api/business/inspection";
function open() {
  const server = fakeServer({ [SAVE]: { body: SETTINGS_SAMPLE }, "GET /api/business": { body: BUSINESS } });
  show(<InspectionSettings />);
  return server;
}
const sent = (server: ReturnType<typeof fakeServer>): unknown =>
  server.asked.find(({ method }) => method === "PATCH")?.body;
const type = (label: string, value: string): void => {
  fireEvent.changeText(screen.getByLabelText(label), value);
  fireEvent(screen.getByLabelText(label), "blur");
};

it("changes when a sheet comes and the order of its points", async () => {
  const server = open();
  fireEvent.press(screen.getByRole("button", { name: "Change Quick look" }));
  fireEvent.press(screen.getByRole("checkbox", { name: "With every visit" }));
  type("Again after so many miles", "15000");
  fireEvent.press(screen.getByRole("button", { name: "Engine oil further up" }));
  fireEvent.press(screen.getByTestId("save-inspection"));
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      version: 1,
      inspection: [],
      sheets: [{ to: { pointIds: ["oil", "pads"], comes: { always: false, everyMiles: 15_000 } } }],
    }),
  );
});

it("changes a limit, and lets none be softer than the law", async () => {
  const server = open();
  fireEvent.press(screen.getByRole("radio", { name: "Points" }));
  fireEvent.press(screen.getByRole("button", { name: "Change Front brake pads" }));
  type("Act now below", "x");
  fireEvent.press(screen.getByTestId("save-inspection"));
  expect(await screen.findByText("✕ a number is needed")).toBeTruthy();
  type("Act now below", "1");
  fireEvent.press(screen.getByRole("radio", { name: "Tread" }));
  fireEvent.press(screen.getByRole("radio", { name: "/32 in" }));
  expect(screen.getByText(/Below 2 it is unsafe by law/)).toBeTruthy();
  fireEvent.press(screen.getByTestId("save-inspection"));
  expect(await screen.findByText(/the law wants at least 2/)).toBeTruthy();
  expect(sent(server)).toBeUndefined();
  type("Act now below", "4");
  fireEvent.press(screen.getByTestId("save-inspection"));
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      inspection: [{ to: { measures: [{ kind: "tread", actBelow: 4, watchBelow: 6.3 }] } }],
    }),
  );
});

it("turns the limits of tread with its unit", async () => {
  const server = open();
  fireEvent.press(screen.getByRole("radio", { name: "Points" }));
  fireEvent.press(screen.getByRole("button", { name: "Change Front brake pads" }));
  fireEvent.press(screen.getByRole("radio", { name: "Tread" }));
  fireEvent.press(screen.getByRole("radio", { name: "/32 in" }));
  fireEvent.press(screen.getByTestId("save-inspection"));
  // 3 mm are 3.8 thirty-seconds.
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      inspection: [{ to: { measures: [{ unit: "/32 in", actBelow: 3.8, watchBelow: 6.3 }] } }],
    }),
  );
});

it("adds a point, puts it on the sheet, and takes another off every sheet without losing it", async () => {
  const server = open();
  fireEvent.press(screen.getByRole("radio", { name: "Points" }));
  fireEvent.press(screen.getByTestId("add-point"));
  fireEvent.changeText(screen.getByLabelText("Point"), "Horn");
  fireEvent.press(screen.getByRole("button", { name: "Done" }));
  fireEvent.press(screen.getByRole("button", { name: "Change Engine oil" }));
  fireEvent.press(screen.getByRole("button", { name: "Take the point off every sheet" }));
  fireEvent.press(screen.getByRole("radio", { name: "Sheets" }));
  fireEvent.press(screen.getByRole("button", { name: "Change Quick look" }));
  fireEvent.changeText(screen.getByLabelText("Find a point"), "ho");
  fireEvent.press(screen.getByRole("checkbox", { name: "Horn" }));
  fireEvent.press(screen.getByTestId("save-inspection"));
  await waitFor(() => expect(sent(server)).toBeDefined());
  const { inspection, sheets } = sent(server) as {
    inspection: { from: unknown; to: { id: string; title: string; isRetired: boolean } }[];
    sheets: unknown[];
  };
  expect(inspection.find(({ to }) => to.id === "oil")?.to.isRetired).toBe(true);
  const horn = inspection.find(({ to }) => to.title === "Horn");
  expect(horn?.from).toBeNull();
  expect(sheets).toMatchObject([{ to: { pointIds: ["pads", horn?.to.id] } }]);
});

it("reads lines without blanks and doubles", () => {
  expect(linesOf(" a \n\nb\na", { length: 5, lines: 5 })).toEqual(["a", "b"]);
});
