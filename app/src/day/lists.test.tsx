import { fireEvent, screen } from "@testing-library/react-native";
import type { Wait } from "@mechanon/core";
import type { OpenWorkGroup, WorkOrderSummary } from "@mechanon/contract";
import { fakeServer, show } from "../testing/harness";
import { visited } from "../testing/router";
import { visitSample } from "../testing/samples";
import { DayRoad } from "./DayRoad";
import { OpenWork } from "./OpenWork";

const order = (over: Partial<WorkOrderSummary>): WorkOrderSummary => ({
  id: "w",
  number: 1001,
  customerId: "c",
  customerName: "Maren Oyelaran",
  vehicleName: "2019 Honda Accord",
  plate: "LRK1204",
  concerns: ["Brakes grind"],
  waitsFor: "answer",
  since: "2026-11-20T10:00:00.000Z",
  totalCents: 4520,
  dueCents: 0,
  conflicts: 0,
  unclearCents: 0,
  openConcerns: 0,
  openedAt: "2026-11-20T10:00:00.000Z",
  nextVisitAt: null,
  ...over,
});
/** All that waits for one thing; `count` where there is more than this page. */
const group = (waitsFor: Wait, workOrders: WorkOrderSummary[], count = workOrders.length): OpenWorkGroup => ({
  waitsFor,
  count,
  workOrders,
  next: count > workOrders.length ? { since: workOrders.at(-1)?.since ?? "", id: workOrders.at(-1)?.id ?? "" } : null,
});
beforeEach(() => {
  visited.length = 0;
});

describe("open work", () => {
  it("says which concerns nobody answered though the car was looked at", async () => {
    fakeServer({ "GET /api/open-work": { body: { groups: [group("answer", [order({ openConcerns: 2 })])] } } });
    show(<OpenWork title="Open" />);
    expect(await screen.findByText("2 concerns still open")).toBeTruthy();
  });
  it("stands by what it waits for; one kind can be looked at alone", async () => {
    fakeServer({
      "GET /api/open-work": {
        body: {
          groups: [
            group("answer", [order({})]),
            group("parts", []),
            group("money", [
              order({
                id: "x",
                number: 1002,
                customerName: "Bram Castellanos",
                waitsFor: "money",
                dueCents: 1000,
                conflicts: 1,
              }),
            ]),
          ],
        },
      },
    });
    show(<OpenWork title="Open" />);
    await screen.findByText("Maren Oyelaran");
    expect(screen.getByText("$10.00 due")).toBeTruthy();
    expect(screen.getByText("✕ Something to settle")).toBeTruthy();
    fireEvent.press(screen.getByRole("radio", { name: "Money 1" }));
    expect(screen.queryByText("Maren Oyelaran")).toBeNull();
    fireEvent.press(screen.getByRole("radio", { name: "Parts 0" }));
    expect(screen.getByText("No part is missing.")).toBeTruthy();
    fireEvent.press(screen.getByRole("radio", { name: "All 2" }));
    fireEvent.press(screen.getByRole("link", { name: /Work order 1002/ }));
    expect(visited).toEqual(["/work/x"]);
  });
  it("counts truly, and goes on by pages", async () => {
    const server = fakeServer({
      "GET /api/open-work": ({ path }) =>
        path.includes("waitsFor=parts")
          ? { body: { groups: [group("parts", [order({ id: "z", customerName: "Petra", waitsFor: "parts" })])] } }
          : { body: { groups: [group("parts", [order({ id: "y", waitsFor: "parts" })], 1412)] } },
    });
    show(<OpenWork title="Open" />);
    await screen.findByText("The oldest 1 of 1,412");
    expect(screen.getByRole("radio", { name: "All 1,412" })).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Show more" }));
    await screen.findByText("Petra");
    expect(screen.getByText("Maren Oyelaran")).toBeTruthy();
    expect(server.asked.at(-1)?.path).toContain("id=y");
  });
  it("says what belongs there when nothing is open, and what to do when it cannot be loaded", async () => {
    fakeServer({ "GET /api/open-work": { body: { groups: [] } } });
    show(<OpenWork title="Open" />);
    await screen.findByText(/Nothing is open/);
  });
  it("offers to try again", async () => {
    fakeServer({});
    show(<OpenWork title="Open" />);
    await screen.findByText(/No connection to the server/);
    fakeServer({ "GET /api/open-work": { body: { groups: [group("answer", [order({})])] } } });
    fireEvent.press(screen.getByRole("button", { name: "Try again" }));
    await screen.findByText("Maren Oyelaran");
  });
});

describe("the day", () => {
  const place = {
    street: "18 Heron Landing",
    town: "Larkhaven",
    region: "WA",
    postcode: "98099",
    latitude: 48.04,
    longitude: -122.62,
  };
  const visit = visitSample({
    place,
    workOrderIds: ["w"],
    startsAt: new Date(Date.now() + 3_600_000).toISOString(),
    endsAt: new Date(Date.now() + 7_200_000).toISOString(),
  });
  it("shows one van's stops with the drive before each", async () => {
    const other = {
      visit: { ...visit, id: "u", mechanicId: "tomas" },
      mechanicName: "Tomas Quill",
      workOrders: [order({ id: "t", customerName: "Jasper Lindqvist" })],
    };
    fakeServer({
      "GET /api/day": {
        body: {
          date: "2026-11-23",
          visits: [{ visit, mechanicName: "Odile Farrow", workOrders: [order({ dueCents: 500 })] }, other],
        },
      },
    });
    show(<DayRoad />);
    await screen.findByText("Maren Oyelaran");
    expect(screen.getByText(/min drive$/)).toBeTruthy();
    expect(screen.getByText("Now")).toBeTruthy();
    expect(screen.getByText("Waits for an answer, $5.00 due")).toBeTruthy();
    fireEvent.press(screen.getByRole("radio", { name: "Tomas" }));
    expect(screen.getByText("Jasper Lindqvist")).toBeTruthy();
    expect(screen.queryByText("Maren Oyelaran")).toBeNull();
    fireEvent.press(screen.getByRole("link", { name: /Jasper Lindqvist/ }));
    expect(visited).toEqual(["/work/t"]);
  });
  it("goes to other days, which have no now", async () => {
    const server = fakeServer({ "GET /api/day": { body: { date: "2026-11-24", visits: [] } } });
    show(<DayRoad />);
    fireEvent.press(screen.getByRole("button", { name: "Day after" }));
    await screen.findByText(/No visit on this day/);
    expect(screen.getByText(/^Tomorrow/)).toBeTruthy();
    expect(new Set(server.asked.map(({ path }) => path)).size).toBe(2);
  });
});
