import type { DayVisit } from "@mechanon/contract";
import { visitSample } from "../testing/samples";
import { roadOf } from "./road";

const HOME = { street: "4 Ropewalk", latitude: 48.03, longitude: -122.6 };
const stop = (id: string, startsAt: string, endsAt: string, over: Partial<DayVisit["visit"]> = {}): DayVisit => ({
  visit: visitSample({
    id,
    place: { ...visitSample().place, latitude: 48.04, longitude: -122.62 },
    startsAt,
    endsAt,
    ...over,
  }),
  mechanicName: "Odile",
  workOrders: [],
});
const first = stop("a", "2026-11-23T17:00:00Z", "2026-11-23T18:00:00Z", {
  leftAt: "2026-11-23T18:40:00Z",
  arrivedAt: "2026-11-23T17:00:00Z",
});
const second = stop("b", "2026-11-23T18:30:00Z", "2026-11-23T19:30:00Z");

it("marks now between what is over and what comes", () => {
  expect(roadOf([first, second], HOME, "2026-11-23T18:41:00Z").map(({ kind }) => kind)).toEqual([
    "drive",
    "stop",
    "now",
    "drive",
    "stop",
  ]);
  expect(roadOf([first], HOME, "2026-11-23T18:41:00Z").at(-1)?.kind).toBe("now");
  expect(roadOf([first, second], HOME, null).map(({ kind }) => kind)).not.toContain("now");
  expect(roadOf([], HOME, "2026-11-23T18:41:00Z")).toEqual([]);
});

it("tells how late the next stop will be", () => {
  const drives = roadOf([first, second], HOME, "2026-11-23T18:41:00Z").filter((piece) => piece.kind === "drive");
  expect(drives[0]).toMatchObject({ late: 0, minutes: 5 });
  expect(drives[1]?.late).toBeGreaterThanOrEqual(12);
});

it("does not know a drive without coordinates", () => {
  const nowhere = stop("c", "2026-11-23T18:30:00Z", "2026-11-23T19:30:00Z");
  nowhere.visit.place = { ...nowhere.visit.place, latitude: null };
  expect(roadOf([nowhere], HOME, null)[0]).toMatchObject({ minutes: null });
});
