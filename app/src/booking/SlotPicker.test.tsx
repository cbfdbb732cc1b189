import { useState } from "react";
import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { addDays, dayOf, instantAt, showTime } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import { BUSINESS, fakeServer, ME, show } from "../testing/harness";
import { visitSample } from "../testing/samples";
import { anyTime, type Slot } from "./slot";
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

/** Keeps what is picked, as a form does. */
function Picking({ onChange }: { onChange: jest.Mock }) {
  const [picked, setPicked] = useState({ wish: anyTime(), slot: null as Slot | null });
  return (
    <SlotPicker
      business={BUSINESS}
      {...picked}
      noVisit="No visit yet"
      asked={{
        place: { latitude: 48, longitude: -122 },
        needs: { skills: [], carries: [], isUrgent: false },
        notBefore: null,
        heldFor: "call",
        movesVisitId: null,
      }}
      jobMinutes={null}
      onChange={(next) => {
        setPicked(next);
        onChange(next);
      }}
    />
  );
}

function showTomorrow(): jest.Mock {
  const onChange = jest.fn();
  show(<Picking onChange={onChange} />);
  fireEvent.press(screen.getByRole("radio", { name: "Tomorrow" }));
  return onChange;
}

it("offers no time before the day's visits are known, and then none that is taken", async () => {
  fakeServer({ "GET /api/day": { body: { date: tomorrow, visits: [atSeven] } } });
  const onChange = showTomorrow();
  expect(screen.getByLabelText("Looking at the day")).toBeTruthy();
  expect(screen.queryByTestId("slot-start")).toBeNull();
  fireEvent.press(await screen.findByRole("radio", { name: showTime(eight, ZONE) }));
  expect(onChange).toHaveBeenLastCalledWith({
    wish: { day: tomorrow, minutes: 60, mechanicId: null, part: "any" },
    slot: expect.objectContaining({ startsAt: eight, mechanicId: ME.id, dayName: "Tomorrow" }) as unknown,
  });
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

it("lets a time go with the day, the length or the mechanic it was picked for, and no visit with the day", async () => {
  fakeServer({ "GET /api/day": { body: { date: tomorrow, visits: [] } } });
  const onChange = showTomorrow();
  const pick = async (): Promise<void> =>
    fireEvent.press(await screen.findByRole("radio", { name: showTime(eight, ZONE) }));
  await pick();
  fireEvent.press(screen.getByRole("radio", { name: "90 min" }));
  expect(onChange).toHaveBeenLastCalledWith({
    wish: { day: tomorrow, minutes: 90, mechanicId: null, part: "any" },
    slot: null,
  });
  await pick();
  fireEvent.press(screen.getByRole("radio", { name: "No visit yet" }));
  expect(onChange).toHaveBeenLastCalledWith({
    wish: { day: null, minutes: 90, mechanicId: null, part: "any" },
    slot: null,
  });
  expect(screen.queryByTestId("slot-start")).toBeNull();
});
