import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { fakeServer, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { VisitSettings } from "./VisitSettings";
import { readVisits, typedVisitsOf, visitsOf } from "./typedVisits";

it("keeps what stands about visits, tells what does not fit, and charges nothing without terms", async () => {
  const server = fakeServer({ "PATCH /api/business/visits": { body: SETTINGS_SAMPLE.visits } });
  show(<VisitSettings />);
  const type = (label: string, typed: string): void => fireEvent.changeText(screen.getByLabelText(label), typed);
  type("Set-up at each visit, minutes", "a while");
  type("Call-out, once for each trip; empty: nothing", "45.00");
  fireEvent.press(screen.getByRole("radio", { name: "Shared by the cars" }));
  type("Fee; empty: none", "35");
  fireEvent.press(screen.getByTestId("save-visits"));
  expect(await screen.findByText(/a whole number from 0 to 240/)).toBeTruthy();
  expect(server.asked.some(({ method }) => method === "PATCH")).toBe(false);
  type("Set-up at each visit, minutes", "20");
  fireEvent.press(screen.getByTestId("save-visits"));
  expect(await screen.findByText(/write the terms/)).toBeTruthy();
  type("The terms, as the customer is told them", "Late costs $35.");
  type("Who has not answered by then is called", "4:30 pm");
  fireEvent.press(screen.getByRole("button", { name: "Is a warning lamp on? Yes: +15 min" }));
  type("Skill it takes, a lamp is on", " Diagnosis ");
  fireEvent.press(screen.getByTestId("save-visits"));
  await waitFor(() => expect(server.asked.some(({ method }) => method === "PATCH")).toBe(true));
  expect(server.asked.find(({ method }) => method === "PATCH")?.body).toMatchObject({
    version: 1,
    visits: [
      {
        from: SETTINGS_SAMPLE.visits,
        to: {
          setUpMinutes: 20,
          callOutCents: 4500,
          callOutOn: "shared",
          callOffFeeCents: 3500,
          callOffTerms: "Late costs $35.",
          answerByMinute: 990,
        },
      },
    ],
  });
});

it("reads back what it shows", () => {
  const read = readVisits.parse(typedVisitsOf(SETTINGS_SAMPLE));
  const { callRules, ...others } = visitsOf(read);
  const { callRules: before, ...kept } = SETTINGS_SAMPLE.visits;
  expect(others).toEqual(kept);
  expect(new Set(callRules)).toEqual(new Set(before));
});
