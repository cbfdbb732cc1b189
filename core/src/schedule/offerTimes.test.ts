import { bookedVisit } from "../testing/sampleWorkOrder";
import type { VisitState } from "../visits/state";
import { usualCrewMember, type CrewMember } from "./crewMember";
import { offerTimes, type DaysAround, type TimeWanted } from "./offerTimes";
import type { Spot } from "./spot";

const ZONE = "America/Los_Angeles";
/** Monday, a quarter past nine on the west coast. */
const NOW = "2026-11-23T17:15:00.000Z";
/** As far from home as so many minutes. */
const spot = (minutes: number): Spot => ({ latitude: minutes, longitude: 0 });
const HOME = spot(0);
const wanted = (over: Partial<TimeWanted> = {}): TimeWanted => ({
  place: spot(20),
  minutes: 60,
  skills: [],
  carries: [],
  notBefore: null,
  between: null,
  isUrgent: false,
  mechanicId: null,
  movesVisitId: null,
  ...over,
});
const around = (over: Partial<DaysAround> = {}): DaysAround => ({
  now: NOW,
  zone: ZONE,
  days: 1,
  crew: [usualCrewMember("odile")],
  home: HOME,
  visits: [],
  busy: [],
  travel: (from, to) => Math.abs((from.latitude ?? 0) - (to.latitude ?? 0)),
  ...over,
});
const visit = (from: string, to: string, at: number, over: Partial<VisitState> = {}): VisitState => ({
  ...bookedVisit(from),
  id: from,
  mechanicId: "odile",
  startsAt: from,
  endsAt: to,
  place: { street: "", town: "", region: "", postcode: "", latitude: at, longitude: 0 },
  ...over,
});
const times = (offers: ReturnType<typeof offerTimes>): [string, string | null, number][] =>
  offers.map(({ startsAt, latestStartsAt, addedMinutes }) => [
    startsAt.slice(11, 16),
    latestStartsAt && latestStartsAt.slice(11, 16),
    addedMinutes,
  ]);

it("offers an empty day from the first quarter hour there, until the van is home in time", () => {
  expect(offerTimes(wanted(), around())).toEqual([
    {
      mechanicId: "odile",
      date: "2026-11-23",
      startsAt: "2026-11-23T17:45:00.000Z",
      latestStartsAt: "2026-11-24T00:30:00.000Z",
      endsAt: "2026-11-23T18:45:00.000Z",
      addedMinutes: 40,
    },
  ]);
});

it("puts it where it is least to drive, and makes nobody late", () => {
  const visits = [
    visit("2026-11-23T19:00:00.000Z", "2026-11-23T20:00:00.000Z", 25),
    visit("2026-11-23T22:00:00.000Z", "2026-11-23T23:00:00.000Z", 50),
  ];
  expect(times(offerTimes(wanted(), around({ visits })))).toEqual([
    ["17:45", "17:45", 0],
    ["23:30", "00:30", 0],
    ["20:15", "20:30", 10],
  ]);
  // The one that is moved stands in nobody's way.
  const moved = offerTimes(wanted({ movesVisitId: visits[1]?.id ?? null }), around({ visits }));
  expect(times(moved)).toEqual([
    ["17:45", "17:45", 0],
    ["20:15", "00:30", 0],
  ]);
});

it("goes on from where the van is: after what is over, after what goes on and runs long", () => {
  const over = visit("2026-11-23T15:00:00.000Z", "2026-11-23T16:00:00.000Z", 20, {
    arrivedAt: NOW,
    leftAt: NOW,
  });
  expect(times(offerTimes(wanted(), around({ visits: [over] })))[0]?.[0]).toBe("17:15");
  const long = visit("2026-11-23T16:00:00.000Z", "2026-11-23T17:00:00.000Z", 0, { setOffAt: NOW, arrivedAt: NOW });
  expect(times(offerTimes(wanted(), around({ visits: [long] }))).map(([start]) => start)).toContain("18:00");
  const gone = { ...long, arrivedAt: null, cancelledAt: NOW };
  expect(times(offerTimes(wanted(), around({ visits: [gone] })))).toEqual(times(offerTimes(wanted(), around())));
});

it("keeps to hours, breaks, days off, skills and who is wanted", () => {
  const odile: CrewMember = {
    ...usualCrewMember("odile"),
    hours: [{ weekday: 1, fromMinute: 600, untilMinute: 900 }],
    pause: { fromMinute: 720, untilMinute: 750 },
    skills: ["Refrigerant"],
  };
  const tomas: CrewMember = { ...usualCrewMember("tomas"), off: [{ from: "2026-11-20", to: "2026-11-24" }] };
  const crew = [odile, tomas];
  const offers = offerTimes(wanted(), around({ crew, days: 3 }));
  expect(offers.map(({ mechanicId, date }) => `${mechanicId} ${date}`)).toEqual([
    "tomas 2026-11-25",
    "odile 2026-11-23",
    "odile 2026-11-23",
  ]);
  expect(times(offers).slice(1)).toEqual([
    ["18:30", "19:00", 40],
    ["21:00", "21:30", 40],
  ]);
  expect(offerTimes(wanted({ skills: ["refrigerant"] }), around({ crew, days: 3 }))).toHaveLength(3);
  expect(offerTimes(wanted({ skills: ["High voltage"] }), around({ crew: [odile] }))).toEqual([]);
  expect(offerTimes(wanted({ mechanicId: "tomas" }), around({ crew }))).toEqual([]);
});

it("offers nothing longer than any day, and counts the hours a night has when clocks change", () => {
  expect(offerTimes(wanted({ minutes: 1440 }), around({ days: 7 }))).toEqual([]);
  const sunday = around({ now: "2026-11-01T07:00:00.000Z", days: 1 });
  expect(times(offerTimes(wanted(), { ...sunday, now: "2026-11-01T08:00:00.000Z" }))).toEqual([["15:30", "00:30", 40]]);
});

it("comes when the part is there, in the part of the day that is wished for, soonest first where it is urgent", () => {
  const at = (over: Partial<TimeWanted>): string[] =>
    times(offerTimes(wanted(over), around({ days: 2 }))).map(([start, until]) => `${start} ${until}`);
  expect(at({ notBefore: "2026-11-23T22:05:00.000Z" })[0]).toBe("22:15 00:30");
  expect(at({ between: { fromMinute: 13 * 60, toMinute: 16 * 60 } })).toEqual(["21:00 00:00", "21:00 00:00"]);
  // Today's noon is before the part is there.
  expect(at({ notBefore: "2026-11-23T22:00:00.000Z", between: { fromMinute: 480, toMinute: 720 } })).toHaveLength(1);
  const near = [visit("2026-11-24T20:00:00.000Z", "2026-11-24T21:00:00.000Z", 20)];
  const days = offerTimes(wanted(), around({ days: 2, visits: near })).map(({ date }) => date);
  const urgent = offerTimes(wanted({ isUrgent: true }), around({ days: 2, visits: near })).map(({ date }) => date);
  expect([days[0], urgent[0]]).toEqual(["2026-11-24", "2026-11-23"]);
});

it("keeps times free that are held or otherwise taken, and drives by their place", () => {
  const busy = (over: object): DaysAround["busy"] => [
    {
      mechanicId: "odile",
      startsAt: "2026-11-23T18:00:00.000Z",
      endsAt: "2026-11-23T20:00:00.000Z",
      place: spot(20),
      ...over,
    },
  ];
  expect(times(offerTimes(wanted(), around({ busy: busy({}) })))[0]).toEqual(["20:00", "00:30", 0]);
  expect(times(offerTimes(wanted(), around({ busy: busy({ place: null }) })))[0]).toEqual(["20:30", "00:30", 40]);
  expect(times(offerTimes(wanted(), around({ busy: busy({ mechanicId: "tomas" }) })))[0]?.[0]).toBe("17:45");
  const holiday = busy({ startsAt: "2026-11-20T00:00:00.000Z", endsAt: "2026-11-30T00:00:00.000Z", place: null });
  expect(offerTimes(wanted(), around({ busy: holiday }))).toEqual([]);
});

it("leaves from and comes home to a base of one's own, by the clock there", () => {
  const base = { street: "", latitude: 20, longitude: 0 };
  const crew = [{ ...usualCrewMember("odile"), base, zone: "America/Denver" }];
  expect(times(offerTimes(wanted(), around({ crew })))).toEqual([["17:15", "00:00", 0]]);
});

it("sends who carries what it takes", () => {
  const crew = [{ ...usualCrewMember("odile"), carries: ["Tire machine"] }, usualCrewMember("tomas")];
  const who = (carries: string[]): string[] =>
    offerTimes(wanted({ carries }), around({ crew })).map((each) => each.mechanicId);
  expect(who(["tire machine"])).toEqual(["odile", "tomas"]);
  expect(who(["Gas scale"])).toEqual(["tomas"]);
});
