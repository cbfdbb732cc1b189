import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { laborSettingsOf } from "@mechanon/core";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { RateSettings } from "./RateSettings";
import { readRates, typedRatesOf } from "./typedRates";

const SAVE = "PATCH /api/business/labor";
const BEFORE = laborSettingsOf(SETTINGS_SAMPLE.rules);
function open(reply: Parameters<typeof fakeServer>[0][string] = { body: BEFORE }) {
  const server = fakeServer({ [SAVE]: reply, "GET /api/business": { body: BUSINESS } });
  show(<RateSettings />);
  return server;
}
const type = (label: string, value: string): void => fireEvent.changeText(screen.getByLabelText(label), value);
const press = (name: string): void => fireEvent.press(screen.getByRole("button", { name }));

it("adds a rate with when it stands, the hours of work and what a diagnosis takes off", async () => {
  const server = open();
  type("General, an hour", "120");
  press("Add a rate");
  type("Rate", "Heavy");
  type("An hour, Heavy", "145.50");
  fireEvent.press(screen.getByRole("checkbox", { name: "Heavy pickup or van" }));
  type("Only cars older than so many years", "15");
  fireEvent.press(screen.getByRole("checkbox", { name: "Monday" }));
  type("From", "7:30");
  type("Until", "6 pm");
  type("Taken off the repair it led to, percent of the diagnosis", "50");
  fireEvent.press(screen.getByTestId("save-rates"));
  await waitFor(() => {
    const body = server.asked.find(({ method }) => method === "PATCH")?.body as { labor: { from: unknown; to: object }[] };
    expect(body.labor[0]?.from).toEqual(BEFORE);
    expect(body.labor[0]?.to).toMatchObject({
      laborRateCents: 12_000,
      rates: [{ title: "Heavy", cents: 14_550, when: { vehicleClasses: ["heavy"], olderThanYears: 15, powers: [] } }],
      workHours: { weekdays: [1], fromMinute: 450, untilMinute: 1080 },
      diagnosisCreditPercent: 50,
    });
  });
  expect(await screen.findByText(/open ones keep the rates/)).toBeTruthy();
}); // prettier-ignore

it("the first that fits stands: a rate is moved up, and taken off", async () => {
  const server = open();
  for (const name of ["One", "Two"]) {
    press("Add a rate");
    const field = screen.getAllByLabelText("Rate").at(-1);
    if (field) fireEvent.changeText(field, name);
    type(`An hour, ${name}`, "100");
  }
  press("Move Two up");
  fireEvent.press(screen.getByTestId("save-rates"));
  await waitFor(() => {
    const body = server.asked.find(({ method }) => method === "PATCH")?.body;
    expect(body).toMatchObject({ labor: [{ to: { rates: [{ title: "Two" }, { title: "One" }] } }] });
  });
  press("Take Two off the list");
  expect(screen.queryByRole("group", { name: "Two" })).toBeNull();
});

it.each([
  ["general", { general: "lots" }],
  ["from", { from: "25:00" }],
  ["until", { from: "9:00", until: "8:00" }],
  ["credit", { credit: "101" }],
])("sends nothing while %s does not fit", (field, over) => {
  const read = readRates.safeParse({ ...typedRatesOf(SETTINGS_SAMPLE), ...over });
  expect(read.error?.issues.map(({ path }) => path[0])).toEqual([field]);
});

it("keeps what was typed where somebody else changed the rates meanwhile, to be saved again", async () => {
  open(problemReply(409, "version/changed", "Somebody else changed the same meanwhile."));
  type("General, an hour", "120");
  fireEvent.press(screen.getByTestId("save-rates"));
  expect(await screen.findByText(/Somebody else changed the same meanwhile/)).toBeTruthy();
  expect(screen.getByLabelText("General, an hour").props.value).toBe("120");
});
