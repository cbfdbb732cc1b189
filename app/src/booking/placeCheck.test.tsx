import { screen } from "@testing-library/react-native";
import { instantAt, addDays, dayOf, nothingArranged, usualCrewMember, type VisitNeeds } from "@mechanon/core";
import { BUSINESS, fakeServer, show } from "../testing/harness";
import { PlaceCheck } from "./PlaceCheck";

const ZONE = BUSINESS.timeZone;
const TOMORROW = addDays(dayOf(new Date().toISOString(), ZONE), 1);
const at = (hour: number): string => instantAt(TOMORROW, hour * 60, ZONE);
const needs: VisitNeeds = {
  minutes: 60,
  skills: [],
  carries: [],
  conditions: [
    { condition: "dry", jobs: ["Front pads"] },
    { condition: "daylight", jobs: ["Front pads"] },
    { condition: "levelHardGround", jobs: ["Front pads", "Rear pads"] },
  ],
  isUrgent: false,
};
const wetAt = (hour: number) => ({ at: at(hour), rainPercent: 80, rainMm: 2, temperatureCelsius: 4, windKmh: 20 });
const place = { latitude: 48, longitude: -122 };
const business = {
  ...BUSINESS,
  settings: { ...BUSINESS.settings, crew: [{ ...usualCrewMember("me"), vanHeightInches: 96 }] },
};

it("says what a picked time and the place do not have, before it is booked", async () => {
  fakeServer({ "GET /api/weather": { body: { hours: [wetAt(21)] } } });
  const when = { mechanicId: "me", startsAt: at(21), endsAt: at(22) };
  const agreed = { ...nothingArranged(), heightInches: 84 };
  show(<PlaceCheck business={business} needs={needs} agreed={agreed} place={place} when={when} />);
  expect(await screen.findByText(/Front pads: it will be wet then \(80 % rain\)\./)).toBeTruthy();
  expect(screen.getByText(/Front pads: it is dark then \(light from .* to .*\)\./)).toBeTruthy();
  expect(screen.getByText(/The van is 96 in high, and the place 84 in\./)).toBeTruthy();
  expect(screen.getByText("Front pads, Rear pads: needs level, hard ground; ask whether it is.")).toBeTruthy();
});

it("says nothing where all is there, or no time is picked and nothing has to be asked", () => {
  fakeServer({ "GET /api/weather": "down" });
  const agreed = { ...nothingArranged(), levelHardGround: true };
  show(<PlaceCheck business={business} needs={needs} agreed={agreed} place={place} when={null} />);
  expect(screen.queryByTestId("place-check")).toBeNull();
});
