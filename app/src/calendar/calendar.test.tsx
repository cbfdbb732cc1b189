import { fireEvent, screen } from "@testing-library/react-native";
import { addDays, dayOf, instantAt, type VisitState } from "@mechanon/core";
import type { DayVisit, MoveAsk } from "@mechanon/contract";
import { BUSINESS, fakeServer, givenActs, ME, resetSync, show } from "../testing/harness";
import { visited } from "../testing/router";
import { visitSample } from "../testing/samples";
import { askState, isToCall } from "./askState";
import { CalendarLinksScreen } from "./CalendarLinksScreen";
import { CalendarScreen } from "./CalendarScreen";
import { useCalendar } from "./calendarStore";
import { daysOfView, turned } from "./calendarView";
import { driversOf } from "./driversOf";
import { WetDayScreen } from "./WetDayScreen";
import { dayWords, wetHours } from "./weatherWords";

jest.mock("react-hotkeys-hook", () => ({ useHotkeys: jest.fn() }));

const ZONE = BUSINESS.timeZone;
const TODAY = dayOf(new Date().toISOString(), ZONE);
const TOMORROW = addDays(TODAY, 1);
const at = (hour: number, day = TOMORROW): string => instantAt(day, hour * 60, ZONE);
const stop = (id: string, hour: number, customerName: string, over: Partial<VisitState> = {}): DayVisit => ({
  visit: visitSample({ id, workOrderIds: [`w-${id}`], startsAt: at(hour), endsAt: at(hour + 1), ...over }),
  mechanicName: ME.name,
  workOrders: [
    {
      id: `w-${id}`,
      number: 1001,
      customerId: "c",
      customerName,
      vehicleName: "2019 Fennick Gale",
      plate: null,
      concerns: ["Hums"],
      waitsFor: "work",
      since: at(8),
      totalCents: 0,
      dueCents: 0,
      conflicts: 0,
      unclearCents: 0,
      openConcerns: 0,
      openedAt: at(8),
      nextVisitAt: null,
    },
  ],
});
const NO_WEATHER = { "GET /api/weather": { body: { hours: [] } } };
const days = (visits: DayVisit[]) => ({ "GET /api/days": { body: { visits, busy: [] } }, ...NO_WEATHER });
const given = (): unknown[] => givenActs().map((act) => ("command" in act ? act.command : act));

beforeEach(() => {
  resetSync();
  visited.length = 0;
  useCalendar.setState({ view: "day", date: TOMORROW, mechanicId: null, selectedId: null, proposed: null, done: null });
});

it("moves a visit by two taps, says before what that breaks, and takes it back once", async () => {
  const breaks = [
    { what: "late", visitId: "b", minutes: 10 },
    { what: "place", condition: "dry" },
  ];
  fakeServer({
    ...days([stop("a", 9, "Ana"), stop("b", 13, "Bo")]),
    "POST /api/visits/a/move-check": { body: { breaks } },
  });
  useCalendar.setState({ mechanicId: ME.id });
  show(<CalendarScreen />);
  fireEvent.press(await screen.findByRole("button", { name: /^9:00 am to 10:00 am, Ana, 2019 Fennick Gale/ }));
  expect(screen.queryByRole("button", { name: "Move to 1:00 pm" })).toBeNull();
  fireEvent.press(screen.getAllByRole("button", { name: "Move to 11:30 am" })[0] as never);
  expect(await screen.findByText("Bo starts 10 min late. It will be wet then.")).toBeTruthy();
  fireEvent.press(screen.getByTestId("move-here"));
  expect(given()).toMatchObject([{ type: "moveVisit", startsAt: at(11.5), endsAt: at(12.5), allowOverlap: false }]);
  // What waits to be sent shows already.
  expect(screen.getByRole("button", { name: /^11:30 am to 12:30 pm, Ana/ })).toBeTruthy();
  fireEvent.press(screen.getByTestId("undo-move"));
  expect(given().at(-1)).toMatchObject({ type: "moveVisit", startsAt: at(9), allowOverlap: false });
  expect(screen.queryByTestId("undo-move")).toBeNull();
});

it("tells from this device what a move breaks where nobody can be asked, and runs into another only knowingly", async () => {
  fakeServer({ ...days([stop("a", 9, "Ana"), stop("b", 13, "Bo")]), "POST /api/visits/a/move-check": "down" });
  show(<CalendarScreen />);
  await screen.findByRole("button", { name: /Ana/ });
  useCalendar.getState().propose("a", { mechanicId: "me", startsAt: at(13.5), endsAt: at(14.5) });
  expect(await screen.findByText(/^It runs into Bo\./)).toBeTruthy();
  expect(screen.getByText(/Without a signal/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: /^Move all the same to/ }));
  expect(given()).toMatchObject([{ type: "moveVisit", allowOverlap: true }]);
});

it("leaves locked visits where they are, and unlocks them", async () => {
  fakeServer(days([stop("a", 9, "Ana", { isLocked: true })]));
  show(<CalendarScreen />);
  fireEvent.press(await screen.findByRole("button", { name: /Ana.*locked$/ }));
  expect(screen.queryByRole("button", { name: /^Move to/ })).toBeNull();
  fireEvent.press(screen.getByRole("button", { name: "Unlock" }));
  expect(given()).toEqual([{ type: "lockVisit", isLocked: false }]);
  fireEvent.press(screen.getByRole("button", { name: "Open the sheet" }));
  expect(visited).toEqual(["/work/w-a"]);
});

it("lists days with the weather, what was called off, and who could have the gap", async () => {
  const hours = [10, 11, 12].map((hour) => ({
    at: at(hour),
    rainPercent: 70,
    rainMm: 1,
    temperatureCelsius: 5,
    windKmh: 9,
  }));
  const off = stop("a", 9, "Ana", { cancelledAt: at(8, TODAY), calledOff: { why: "customer", words: "" } });
  const waiting = stop("x", 9, "Cleo").workOrders[0];
  fakeServer({
    ...days([off, stop("b", 13, "Bo")]),
    "GET /api/weather": { body: { hours } },
    "GET /api/open-work": { body: { groups: [{ waitsFor: "time", count: 1, workOrders: [waiting], next: null }] } },
  });
  useCalendar.setState({ view: "list" });
  show(<CalendarScreen />);
  expect(await screen.findByText(/^9:00 am, Ana, 2019 Fennick Gale: called off, they called it off$/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: /^1:00 pm to 2:00 pm, Bo/ }));
  expect(screen.getByRole("button", { name: "Show its day" })).toBeTruthy();
  expect(await screen.findByText(/rain 70 %, 10:00 am to 1:00 pm/)).toBeTruthy();
  expect(screen.getByText("9:00 am to 10:00 am is free now.")).toBeTruthy();
  fireEvent.press(await screen.findByRole("button", { name: "Waits for a time: Cleo, 2019 Fennick Gale" }));
  fireEvent.press(screen.getByRole("button", { name: `Find dry times, ${TOMORROW}` }));
  expect(visited).toEqual(["/work/w-x", `/wet-day?date=${TOMORROW}`]);
});

it("says whose visits have nobody any more, and shows them", async () => {
  fakeServer(days([{ ...stop("a", 9, "Ana", { mechanicId: "gone" }), mechanicName: "Rolf Vance" }]));
  show(<CalendarScreen />);
  expect(await screen.findByText(/^Rolf Vance drives no more/)).toBeTruthy();
  expect(screen.getByRole("button", { name: /Ana/ })).toBeTruthy();
  expect(driversOf(BUSINESS, []).map(({ hasLeft }) => hasLeft)).not.toContain(true);
});

it("turns its pages by the day, the week from Monday on, or the weeks ahead", () => {
  expect(daysOfView("week", "2026-11-29")).toEqual({ from: "2026-11-23", to: "2026-11-29" });
  expect(daysOfView("day", "2026-11-29")).toEqual({ from: "2026-11-29", to: "2026-11-29" });
  expect(daysOfView("list", "2026-11-29").to).toBe("2026-12-26");
  expect([turned("week", "2026-11-29", 1), turned("day", "2026-11-29", -1)]).toEqual(["2026-12-06", "2026-11-28"]);
  expect(wetHours([], TODAY, ZONE, 50)).toBeNull();
  expect(dayWords(null, null, ZONE)).toBe("");
});

describe("a wet day", () => {
  const ask = (id: string, over: Partial<MoveAsk> = {}): MoveAsk => ({
    id,
    visitId: `v-${id}`,
    workOrderId: `w-${id}`,
    customerName: id,
    phone: "+13605550123",
    fromStartsAt: at(9),
    startsAt: at(9, addDays(TOMORROW, 2)),
    endsAt: at(10, addDays(TOMORROW, 2)),
    mechanicId: "me",
    why: "Rain is likely",
    recipient: "+13605550123",
    message: `Could we come later, ${id}?`,
    sentAt: null,
    answerBy: at(9),
    answer: null,
    ...over,
  });

  it("finds times in one act, shows each message, sends them in the next, and takes a word on the phone", async () => {
    let asks: MoveAsk[] = [];
    const server = fakeServer({
      "GET /api/move-asks": () => ({ body: { asks } }),
      "POST /api/move-asks": () => {
        asks = [ask("Ana"), ask("Bo", { recipient: null })];
        return { body: { asks, without: [{ visitId: "v-c", customerName: "Cleo" }] } };
      },
      "POST /api/move-asks/sent": () => {
        asks = asks.map((each) => (each.recipient ? { ...each, sentAt: at(8, TODAY) } : each));
        return { body: { asks } };
      },
      "POST /api/move-asks/Bo/answer": () => {
        asks = asks.map((each) => (each.id === "Bo" ? { ...each, answer: "yes" as const } : each));
        return { body: { asks } };
      },
    });
    show(<WetDayScreen date={TOMORROW} />);
    expect(await screen.findByText("Nobody was asked in the last two weeks.")).toBeTruthy();
    fireEvent.press(screen.getByTestId("find-times"));
    expect(await screen.findByText(/^No dry time was found for Cleo/)).toBeTruthy();
    expect(screen.getByText("Could we come later, Ana?")).toBeTruthy();
    expect(screen.getByText("To call, 1")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Send 1 message" }));
    expect(await screen.findByText(/^Asked, until 9:00 am/)).toBeTruthy();
    expect(server.asked.find(({ path }) => path.endsWith("/sent"))?.body).toEqual({ ids: ["Ana"] });
    fireEvent.press(screen.getByRole("button", { name: "They said yes, Bo" }));
    expect(await screen.findByText("Said yes: moved")).toBeTruthy();
  });

  it("lists who is silent at the hour for a call", () => {
    const now = at(9);
    expect(askState(ask("a", { sentAt: at(8) }), now)).toBe("silent");
    expect([isToCall(ask("a"), now), isToCall(ask("a"), at(8)), isToCall(ask("a", { answer: "no" }), now)]).toEqual([
      true,
      false,
      false,
    ]);
    expect(isToCall(ask("a", { recipient: null }), at(8))).toBe(true);
  });
});

describe("in other calendars", () => {
  const links = (url: string | null) => ({ body: { links: [{ personId: "me", url }] } });

  it("a link is made, renewed only when that is meant, and a file keeps time free", async () => {
    const server = fakeServer({
      "GET /api/calendar-links": links(null),
      "POST /api/calendar-links/me": links("https://here/api/calendars/abc"),
      "POST /api/people/me/busy-times": { body: { busy: 2, leftOut: 1, isCut: false } },
      "DELETE /api/people/me/busy-times": { body: { forgotten: 2 } },
    });
    show(<CalendarLinksScreen />);
    fireEvent.press(await screen.findByRole("button", { name: `Make a link, ${ME.name}` }));
    expect(await screen.findByDisplayValue("https://here/api/calendars/abc")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: `Renew, ${ME.name}` }));
    fireEvent.press(screen.getByRole("button", { name: "Keep it" }));
    expect(server.asked.filter(({ method }) => method === "POST")).toHaveLength(1);
    fireEvent.press(screen.getByRole("button", { name: `Forget it, ${ME.name}` }));
    expect(await screen.findByText("2 appointments forgotten.")).toBeTruthy();
  });
});
