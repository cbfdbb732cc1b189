import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { usualCrewMember } from "@mechanon/core";
import { BUSINESS, fakeServer, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { CrewSettings } from "./CrewSettings";
import { readCrew, typedCrewOf } from "./typedCrew";

const [FIRST] = BUSINESS.people;
const name = FIRST?.name ?? "";
const personId = FIRST?.id ?? "";

it("keeps when a mechanic drives, tells what does not fit at its place, and sends only who was changed", async () => {
  const server = fakeServer({ "PATCH /api/business/crew": { body: { crew: [] } }, "GET /api/business": { body: BUSINESS } }); // prettier-ignore
  show(<CrewSettings />);
  const type = (label: string, text: string): void => fireEvent.changeText(screen.getByLabelText(label), text);
  fireEvent.press(screen.getAllByRole("checkbox", { name: "Sunday" })[0] ?? screen.getByTestId("save-crew"));
  expect(screen.queryByLabelText(`Sunday from, ${name}`)).toBeNull();
  type(`Monday from, ${name}`, "9:30");
  type(`Break from, ${name}`, "12:00");
  fireEvent.press(screen.getByRole("button", { name: `Add days off, ${name}` }));
  type(`Off from, ${name}, 1`, "2026-12-24");
  type(`Off until, ${name}, 1`, "Christmas");
  type(`Skills, ${name}`, "Refrigerant, , High voltage");
  type(`What the van carries, ${name}`, " Engine hoist ");
  type(`Van height, ${name}`, "9");
  type(`Home base, ${name}`, "9 Quay");
  type(`Time zone, ${name}`, "Denver");
  fireEvent.press(screen.getByTestId("save-crew"));
  expect(await screen.findByText(/a time like 7:30/)).toBeTruthy();
  expect(screen.getByText(/a zone like America/)).toBeTruthy();
  expect(screen.getByText(/whole inches from 40 to 200/)).toBeTruthy();
  expect(screen.getByText(/a day like 2026-12-24/)).toBeTruthy();
  type(`Break until, ${name}`, "12:30");
  type(`Off until, ${name}, 1`, "2026-12-26");
  type(`Time zone, ${name}`, "America/Denver");
  type(`Van height, ${name}`, "96");
  fireEvent.press(screen.getByTestId("save-crew"));
  await waitFor(() => expect(server.asked.some(({ method }) => method === "PATCH")).toBe(true));
  const usual = usualCrewMember(personId);
  expect(server.asked.find(({ method }) => method === "PATCH")?.body).toEqual({
    version: 1,
    crew: [
      {
        from: null,
        to: {
          personId,
          hours: usual.hours.slice(0, 6).map((day) => (day.weekday === 1 ? { ...day, fromMinute: 570 } : day)),
          pause: { fromMinute: 720, untilMinute: 750 },
          off: [{ from: "2026-12-24", to: "2026-12-26" }],
          skills: ["Refrigerant", "High voltage"],
          carries: ["Engine hoist"],
          vanHeightInches: 96,
          base: { street: "9 Quay", latitude: null, longitude: null },
          zone: "America/Denver",
        },
      },
    ],
  });
});

it("reads back what it shows, and says what ends before it begins", () => {
  const member = {
    ...usualCrewMember(personId),
    pause: { fromMinute: 720, untilMinute: 750 },
    off: [{ from: "2026-12-24", to: "2026-12-26" }],
    skills: ["Refrigerant"],
  };
  const typed = typedCrewOf({ ...SETTINGS_SAMPLE, crew: [member] }, BUSINESS.people);
  expect(readCrew.parse(typed).people[0]).toEqual(member);
  const [first, ...others] = typed.people;
  const wrong = { ...first, pauseUntil: "11:00", off: [{ from: "2026-12-24", to: "2026-12-20" }] };
  const issues = readCrew.safeParse({ ...typed, people: [wrong, ...others] }).error?.issues ?? [];
  expect(issues.map(({ path }) => path.join("."))).toEqual(["people.0.pauseUntil", "people.0.off.0.to"]);
});
