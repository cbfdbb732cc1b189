import { bookedVisit } from "../testing/sampleWorkOrder";
import { nothingArranged } from "../visits/arranged";
import type { VisitState } from "../visits/state";
import { usualCrewMember } from "./crewMember";
import { moveBreaks, type MoveAround, type MoveBreak, type MoveTo } from "./moveBreaks";
import type { Spot } from "./spot";

const ZONE = "America/Los_Angeles";
/** Nine o'clock of a Monday is 17:00 UTC. */
const NINE = "2026-11-23T17:00:00.000Z";
const hour = (utc: number): string => `2026-11-23T${String(utc).padStart(2, "0")}:00:00.000Z`;
const spot = (minutes: number): Spot => ({ latitude: minutes, longitude: 0 });
const visit = (id: string, from: number, at: number, over: Partial<VisitState> = {}): VisitState => ({
  ...bookedVisit(hour(from)),
  id,
  place: { street: "", town: "", region: "", postcode: "", latitude: at, longitude: 0 },
  ...over,
});
const around = (over: Partial<MoveAround> = {}): MoveAround => ({
  now: "2026-11-23T14:00:00.000Z",
  zone: ZONE,
  member: usualCrewMember("odile"),
  home: spot(0),
  visits: [],
  busy: [],
  travel: (from, to) => Math.abs((from.latitude ?? 0) - (to.latitude ?? 0)),
  needs: null,
  partsReadyAt: null,
  weather: null,
  daylight: null,
  wetPercent: 50,
  ...over,
});
const to = (from: number): MoveTo => ({ mechanicId: "odile", startsAt: hour(from), endsAt: hour(from + 1) });
const breaks = (over: Partial<MoveAround> = {}, from = 18, moved = visit("m", 17, 10)): MoveBreak[] =>
  moveBreaks(moved, to(from), around(over));

it("says nothing where a visit fits", () => {
  expect(breaks({ visits: [visit("m", 17, 10), visit("a", 20, 10)] })).toEqual([]);
});

it("says what stands in its time: another visit, an appointment, one called off does not", () => {
  expect(breaks({ visits: [visit("a", 18, 10)] })).toMatchObject([{ what: "overlap", visitId: "a" }, { what: "late" }]);
  expect(breaks({ visits: [visit("a", 18, 10, { cancelledAt: NINE })] })).toEqual([]);
  const busy = [{ mechanicId: "odile", startsAt: hour(18), endsAt: hour(22), place: null }];
  expect(breaks({ busy })).toEqual([{ what: "busy", startsAt: hour(18) }]);
});

it("says which stops would be late by the drive, and by how much more than they are", () => {
  // An hour's work that ends at eleven, forty minutes from a stop at eleven.
  expect(breaks({ visits: [visit("a", 19, 50)] })).toEqual([{ what: "late", visitId: "a", minutes: 40 }]);
  const late = [visit("x", 17, 40), visit("a", 18, 60), visit("b", 20, 60)];
  expect(breaks({ visits: late }, 21, visit("m", 22, 60))).toEqual([]);
  expect(breaks({ visits: [visit("a", 17, 50)] })).toEqual([{ what: "late", visitId: "m", minutes: 40 }]);
});

it("says what is outside the hours, in the break, or on a day off, by the clock of the mechanic", () => {
  const member = usualCrewMember("odile");
  expect(breaks({}, 14)).toEqual([{ what: "hours" }]);
  expect(breaks({ member: { ...member, pause: { fromMinute: 600, untilMinute: 630 } } })).toEqual([{ what: "pause" }]);
  expect(breaks({ member: { ...member, off: [{ from: "2026-11-23", to: "2026-11-23" }] } })).toEqual([{ what: "off" }]);
  expect(breaks({ member: { ...member, zone: "Pacific/Honolulu" } }, 16)).toEqual([{ what: "hours" }]);
});

it("says what is locked, over, promised, or waits for parts, skills, tools, dry weather and light", () => {
  const arranged = { ...nothingArranged(), heightInches: 84 };
  const moved = visit("m", 17, 10, { isLocked: true, readyBy: hour(18), arranged });
  const member = { ...usualCrewMember("odile"), skills: ["Hybrids"], carries: ["Hoist"], vanHeightInches: 96 };
  const needs = {
    minutes: 60,
    skills: ["Refrigerant"],
    carries: ["Gas scale"],
    conditions: [
      { condition: "dry" as const, jobs: ["A"] },
      { condition: "daylight" as const, jobs: ["A"] },
      { condition: "levelHardGround" as const, jobs: ["A"] },
    ],
    isUrgent: false,
  };
  const weather = { rainPercent: 80, temperatureCelsius: 5, windKmh: 5 };
  const daylight = { from: hour(19), until: hour(23) };
  const all = breaks({ now: hour(19), member, needs, partsReadyAt: hour(20), weather, daylight }, 18, moved);
  expect(all).toEqual([
    { what: "locked" },
    { what: "past" },
    { what: "skills", missing: ["Refrigerant"] },
    { what: "carries", missing: ["Gas scale"] },
    { what: "height" },
    { what: "promise", minutes: 60 },
    { what: "parts" },
    { what: "place", condition: "dry" },
    { what: "place", condition: "daylight" },
  ]);
});
