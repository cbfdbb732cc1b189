import { BUSINESS } from "@mechanon/demo";
import ICAL from "ical.js";
import Papa from "papaparse";
import { v7 as uuid } from "uuid";
import { addDays, dayOf, instantAt, type TimeOffer, type VisitState } from "@mechanon/core";
import type { BusinessView, DayVisit } from "@mechanon/contract";
import { bookingOf, EBB_COURT, sendToVisit } from "../testing/booking";
import { findOrder, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

const ZONE = BUSINESS.timeZone;
const TODAY = dayOf(new Date().toISOString(), ZONE);
const at = (days: number, minute: number): string => instantAt(addDays(TODAY, days), minute, ZONE);

let server: TestServer;
let odile: TestPerson;
let tomas: TestPerson;
let business: BusinessView;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  tomas = await server.signIn("tomas");
  business = (await odile.get<BusinessView>("/api/business")).body;
});
afterAll(() => server?.stop());

const idOf = (name: string): string => business.people.find((person) => person.name.startsWith(name))?.id ?? "";
const dayFrom = (days: number, hour: number, mechanicId = idOf("Odile")) => ({
  mechanicId,
  startsAt: at(days, hour * 60),
  endsAt: at(days, hour * 60 + 60),
});
const book = async (time: ReturnType<typeof dayFrom>, name = "Caspian"): Promise<VisitState> => {
  const order = await findOrder(odile, name);
  const { visit } = await sendToVisit(odile, uuid(), bookingOf(order.id, time));
  if (!visit) throw new Error("not booked");
  return visit;
};
const offers = async (over: object): Promise<TimeOffer[]> => {
  const body = { place: EBB_COURT, minutes: 60, mechanicId: idOf("Tomas"), movesVisitId: null, days: 14, ...over };
  return (await odile.post<{ offers: TimeOffer[] }>("/api/offered-times", body)).body.offers;
};
const calendarOf = (text: string): ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]])
    .getAllSubcomponents("vevent")
    .map((event) => new ICAL.Event(event));

describe("a calendar behind a secret link", () => {
  const linkOf = async (who: TestPerson, personId: string): Promise<string> => {
    const { body } = await who.post<{ links: { personId: string; url: string | null }[] }>(
      `/api/calendar-links/${personId}`,
      {},
    );
    return new URL(body.links.find((link) => link.personId === personId)?.url ?? "").pathname;
  };

  it("tells other programs of every visit, moved and called off ones under the same id with a higher sequence", async () => {
    const visit = await book(dayFrom(20, 9));
    const path = await linkOf(odile, visit.mechanicId);
    const eventNow = async (): Promise<ICAL.Event | undefined> => {
      const answer = await server.stranger().get<string>(path);
      expect(answer.status).toBe(200);
      return calendarOf(answer.body).find(({ uid }) => uid === `${visit.id}@mechanon`);
    };
    const booked = await eventNow();
    expect(booked?.startDate.toJSDate().toISOString()).toBe(visit.startsAt);
    expect(booked?.location).toContain("3 Ebb Court");
    expect(booked?.description).toMatch(/\/work\/[\w-]+$/);
    expect(booked?.summary).toContain("Caspian");
    expect(booked?.component.getFirstSubcomponent("valarm")?.getFirstPropertyValue("trigger")?.toString()).toBe(
      "-PT30M",
    );
    await sendToVisit(odile, visit.id, { type: "moveVisit", ...dayFrom(20, 11), allowOverlap: false });
    const moved = await eventNow();
    expect(moved?.startDate.toJSDate().toISOString()).toBe(at(20, 11 * 60));
    expect(Number(moved?.sequence)).toBeGreaterThan(Number(booked?.sequence));
    await sendToVisit(odile, visit.id, { type: "cancelVisit", why: "customer", words: "" });
    const off = await eventNow();
    expect(off?.component.getFirstPropertyValue("status")).toBe("CANCELLED");
    expect(Number(off?.sequence)).toBeGreaterThan(Number(moved?.sequence));
    expect(off?.component.getFirstSubcomponent("valarm")).toBeNull();
  });

  it("is renewed by its mechanic or the owner, and opens nothing by the one of before", async () => {
    const before = await linkOf(tomas, idOf("Tomas"));
    const after = await linkOf(odile, idOf("Tomas"));
    expect((await server.stranger().get(after)).status).toBe(200);
    expect((await server.stranger().get<{ code: string }>(before)).body.code).toBe("calendar/not-found");
    expect((await tomas.post<{ code: string }>(`/api/calendar-links/${idOf("Odile")}`, {})).body.code).toBe(
      "mechanic/not-found",
    );
  });

  it("gives one visit as a file", async () => {
    const visit = await book(dayFrom(21, 9));
    const answer = await odile.get<string>(`/api/visits/${visit.id}/calendar`);
    expect(calendarOf(answer.body).map(({ uid }) => uid)).toEqual([`${visit.id}@mechanon`]);
    expect((await odile.get<{ code: string }>(`/api/visits/${uuid()}/calendar`)).body.code).toBe("visit/not-found");
  });
});

describe("a mechanic's own calendar", () => {
  const send = (lines: string[], who = tomas) =>
    who.send<{ busy: number; leftOut: number; isCut: boolean; code: string }>(
      "POST",
      `/api/people/${idOf("Tomas")}/busy-times`,
      new TextEncoder().encode(lines.join("\r\n")),
      { "Content-Type": "text/calendar" },
    );

  it("keeps its time free from the best times, until it is forgotten", async () => {
    const day = addDays(TODAY, 2).replaceAll("-", "");
    const event = ["BEGIN:VEVENT", "UID:dentist", `DTSTART;TZID=${ZONE}:${day}T000000`, `DTEND;TZID=${ZONE}:${day}T235900`, "SUMMARY:Dentist", "END:VEVENT"]; // prettier-ignore
    const onDay = async (): Promise<number> =>
      (await offers({ days: 4 })).filter(({ date }) => date === addDays(TODAY, 2)).length;
    expect(await onDay()).toBeGreaterThan(0);
    expect((await send(["BEGIN:VCALENDAR", "VERSION:2.0", ...event, "END:VCALENDAR"])).body).toEqual({
      busy: 1,
      leftOut: 0,
      isCut: false,
    });
    expect(await onDay()).toBe(0);
    const days = await odile.get<{ busy: { title: string }[] }>(`/api/days?from=${TODAY}&to=${addDays(TODAY, 4)}`);
    expect(days.body.busy).toMatchObject([{ title: "Dentist" }]);
    expect(
      (await odile.send<{ forgotten: number }>("DELETE", `/api/people/${idOf("Tomas")}/busy-times`)).body.forgotten,
    ).toBe(1);
    expect(await onDay()).toBeGreaterThan(0);
  });

  it("is nobody else's to change, and what is no calendar changes nothing", async () => {
    const wren = await server.signIn("wren");
    expect((await send(["BEGIN:VCALENDAR", "END:VCALENDAR"], wren)).body.code).toBe("mechanic/not-found");
    expect((await send(["hello"])).body.code).toBe("calendar/unreadable");
  });
});

it("says which times of a rule are free, at one clock time when the clocks change, and takes no rule within a day", async () => {
  const mechanicId = idOf("Odile");
  const startsAt = instantAt("2027-03-01", 9 * 60, ZONE);
  const repeats = (rule: string) =>
    odile.post<{ times: { startsAt: string; isFree: boolean }[]; isCut: boolean; code: string }>("/api/repeats", {
      rule,
      mechanicId,
      startsAt,
      minutes: 60,
    });
  await sendToVisit(odile, uuid(), bookingOf((await findOrder(odile, "Caspian")).id, { mechanicId, startsAt: instantAt("2027-03-15", 9 * 60 + 30, ZONE), endsAt: instantAt("2027-03-15", 10 * 60, ZONE) })); // prettier-ignore
  const { times, isCut } = (await repeats("FREQ=WEEKLY;COUNT=4")).body;
  expect(times.map((time) => [time.startsAt, time.isFree])).toEqual([
    [instantAt("2027-03-01", 540, ZONE), true],
    [instantAt("2027-03-08", 540, ZONE), true],
    [instantAt("2027-03-15", 540, ZONE), false],
    [instantAt("2027-03-22", 540, ZONE), true],
  ]);
  expect(isCut).toBe(false);
  expect((await repeats("FREQ=DAILY")).body).toMatchObject({ isCut: true });
  for (const rule of ["FREQ=HOURLY;COUNT=3", "whenever", "FREQ=WEEKLY;BYDAY=XX"])
    expect((await repeats(rule)).body.code).toBe("repeat/unreadable");
});

it("gives the visits of some days as a table, called off ones with why, in which no formula runs", async () => {
  const visit = await book(dayFrom(22, 9));
  await sendToVisit(odile, visit.id, { type: "cancelVisit", why: "other", words: "=HYPERLINK(1)" });
  const day = addDays(TODAY, 22);
  const { body } = await odile.get<string>(`/api/visits.csv?from=${day}&to=${day}`);
  const [row] = Papa.parse<Record<string, string>>(body, { header: true, skipEmptyLines: true }).data;
  expect(row).toMatchObject({ Day: day, From: "9:00 am", Minutes: "60", Standing: "cancelled" });
  expect(row?.["Called off because"]).toBe("other: =HYPERLINK(1)");
  expect((await odile.get(`/api/visits.csv?from=${day}&to=${TODAY}`)).status).toBe(422);
});

it("takes a car along on a trip and leaves it out again, and both know", async () => {
  const visit = await book(dayFrom(23, 9));
  const other = await findOrder(odile, "Bram");
  await sendToVisit(odile, visit.id, { type: "takeAlong", workOrderId: other.id });
  const visitsOf = async (): Promise<string[]> =>
    (await odile.get<{ visits: VisitState[] }>(`/api/work-orders/${other.id}`)).body.visits.map(({ id }) => id);
  expect(await visitsOf()).toContain(visit.id);
  await sendToVisit(odile, visit.id, { type: "leaveOut", workOrderId: other.id });
  expect(await visitsOf()).not.toContain(visit.id);
  const { outcomes } = await sendToVisit(odile, visit.id, { type: "takeAlong", workOrderId: uuid() });
  expect(outcomes).toMatchObject([{ outcome: "refused", refusal: "visit/no-work-order" }]);
});

it("stands again only where the mechanic is free still", async () => {
  const visit = await book(dayFrom(24, 9));
  await sendToVisit(odile, visit.id, { type: "cancelVisit", why: "us", words: "" });
  await book(dayFrom(24, 9), "Bram");
  const again = await sendToVisit(odile, visit.id, { type: "reviveVisit", allowOverlap: false });
  expect(again.outcomes).toMatchObject([{ outcome: "refused", refusal: "visit/overlaps" }]);
});

it("says what a move would break before it is done, and changes nothing", async () => {
  const standing = await book(dayFrom(25, 9), "Bram");
  const visit = await book(dayFrom(26, 9));
  const check = async (time: object) =>
    (await odile.post<{ breaks: object[]; code: string }>(`/api/visits/${visit.id}/move-check`, time)).body;
  expect((await check(dayFrom(25, 14))).breaks).toEqual([]);
  expect((await check({ ...dayFrom(25, 9) })).breaks).toMatchObject([
    { what: "overlap", visitId: standing.id },
    { what: "late" },
  ]);
  expect((await check(dayFrom(25, 21))).breaks).toEqual([{ what: "hours" }]);
  expect((await check({ ...dayFrom(25, 9), mechanicId: uuid() })).code).toBe("mechanic/not-found");
  const day = addDays(TODAY, 26);
  const { body } = await odile.get<{ visits: DayVisit[] }>(`/api/days?from=${day}&to=${day}`);
  expect(body.visits.find((each) => each.visit.id === visit.id)?.visit.startsAt).toBe(visit.startsAt);
});

it("draws the roads around a place, and takes no bounds that are none", async () => {
  const { body } = await odile.get<{ roads: { points: [number, number][] }[] }>(
    "/api/map?south=48.02&west=-122.63&north=48.05&east=-122.58",
  );
  expect(body.roads.length).toBeGreaterThan(20);
  expect((await odile.get("/api/map?south=49&west=-122.63&north=48.05&east=-122.58")).status).toBe(422);
});

it("gives days with the visits of all mechanics, and the weather where it is asked for", async () => {
  const { body } = await odile.get<{ visits: DayVisit[] }>(`/api/days?from=${TODAY}&to=${addDays(TODAY, 6)}`);
  expect(new Set(body.visits.map(({ visit }) => visit.mechanicId)).size).toBeGreaterThan(1);
  expect((await odile.get(`/api/days?from=${TODAY}&to=${addDays(TODAY, 90)}`)).status).toBe(422);
  const weather = await odile.get<{ hours: unknown[] }>(`/api/weather?from=${TODAY}&to=${TODAY}`);
  expect(weather.body.hours.length).toBeGreaterThanOrEqual(23);
  await server.fault("weather", "down");
  const down = await odile.get<{ code: string }>(`/api/weather?from=${addDays(TODAY, 1)}&to=${addDays(TODAY, 1)}`);
  expect(down.body.code).toBe("weather/unreachable");
  await server.fault("weather", "none");
});
