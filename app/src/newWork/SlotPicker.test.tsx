import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { addDays, dayOf, instantAt, showTime } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import { BUSINESS, fakeServer, ME, show } from "../testing/harness";
import { visitSample } from "../testing/samples";
import { SlotPicker } from "./SlotPicker";

const ZONE = BUSINESS.timeZone;
const tomorrow = addDays(dayOf(new Date().toISOString(), ZONE), 1);
const seven = instantAt(tomorrow, 7 * 60, ZONE);
const eight = instantAt(tomorrow, 8 * 60, ZONE);
const atSeven: DayVisit = {
  visit: visitSample({ mechanicId: ME.id, startsAt: seven, endsAt: eight }),
  mechanicName: ME.name,
  workOrders: [],
};

function showTomorrow(): jest.Mock {
  const onChange = jest.fn();
  show(<SlotPicker business={BUSINESS} slot={null} onChange={onChange} />);
  fireEvent.press(screen.getByRole("radio", { name: "Tomorrow" }));
  return onChange;
}

it("offers no time before the day's visits are known, and then none that is taken", async () => {
  fakeServer({ "GET /api/day": { body: { date: tomorrow, visits: [atSeven] } } });
  const onChange = showTomorrow();
  expect(screen.getByLabelText("Looking at the day")).toBeTruthy();
  expect(screen.queryByTestId("slot-start")).toBeNull();
  fireEvent.press(await screen.findByRole("radio", { name: showTime(eight, ZONE) }));
  expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ startsAt: eight, mechanicId: ME.id }));
  expect(screen.queryByRole("radio", { name: showTime(seven, ZONE) })).toBeNull();
});

it("offers every time where the day cannot be read, says so, and looks again when asked", async () => {
  let isDown = true;
  fakeServer({ "GET /api/day": () => (isDown ? "down" : { body: { date: tomorrow, visits: [atSeven] } }) });
  showTomorrow();
  expect(await screen.findByText(/could not be read, so taken times are offered too/)).toBeTruthy();
  expect(screen.getByRole("radio", { name: showTime(seven, ZONE) })).toBeTruthy();
  isDown = false;
  fireEvent.press(screen.getByRole("button", { name: "Try again" }));
  await waitFor(() => expect(screen.queryByRole("radio", { name: showTime(seven, ZONE) })).not.toBeOnTheScreen());
});
