import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { nothingArranged, type VisitState } from "@mechanon/core";
import type { WorkOrderSummary, WorkOrderView } from "@mechanon/contract";
import type { Business } from "../../session/useSession";
import { BUSINESS, fakeServer, givenActs, resetSync, show } from "../../testing/harness";
import { customerSample, sheetSample, viewSample, visitSample } from "../../testing/samples";
import { VisitsSection } from "./VisitsSection";

beforeEach(resetSync);

const HOUR = 3_600_000;
const ahead = (hours: number): string => new Date(Date.now() + hours * HOUR).toISOString();
const visit = (over: Partial<VisitState> = {}): VisitState =>
  visitSample({ workOrderIds: ["order-1"], startsAt: ahead(5), endsAt: ahead(6), ...over });
const charging: Business = {
  ...BUSINESS,
  settings: {
    ...BUSINESS.settings,
    visits: {
      ...BUSINESS.settings.visits,
      callOutCents: 4501,
      callOutOn: "shared",
      callOffFeeCents: 3500,
      callOffTerms: "Late costs $35.00.",
    },
  },
};
const showVisits = (visits: VisitState[], over: Partial<WorkOrderView> = {}, business = charging): void =>
  void show(
    <VisitsSection
      view={viewSample({ visits, customer: customerSample(), ...over })}
      business={business}
      isUnsent={false}
    />,
  );
const given = (): unknown[] => givenActs().map((act) => ("command" in act ? act.command : act));
const press = (name: string | RegExp): void => fireEvent.press(screen.getByRole("button", { name }));

it("asks what is asked before a visit, keeps each answer by itself, and takes one back", () => {
  fakeServer({});
  showVisits([visit({ arranged: { ...nothingArranged(), starts: false, keyLies: "In the wheel" } })]);
  press(/^Asked before, does not start, key: In the wheel/);
  const answers = screen.getAllByRole("radio", { name: "No" });
  fireEvent.press(answers[0] as (typeof answers)[number]);
  fireEvent.press(answers[1] as (typeof answers)[number]);
  const field = (label: string, typed: string): void => {
    fireEvent.changeText(screen.getByLabelText(label), typed);
    fireEvent(screen.getByLabelText(label), "blur");
  };
  field("Who is there", " the neighbor ");
  field("Up to; empty: without a limit", "250");
  field("Height there, in inches", "low");
  expect(screen.getByText(/a whole number of inches/)).toBeTruthy();
  fireEvent.press(screen.getByRole("checkbox", { name: "They accepted these terms" }));
  expect(given()).toEqual([
    { type: "arrangeVisit", arranged: { starts: null } },
    { type: "arrangeVisit", arranged: { drives: false } },
    { type: "arrangeVisit", arranged: { whoIsThere: "the neighbor" } },
    { type: "arrangeVisit", arranged: { maySpendCents: 25_000 } },
    { type: "arrangeVisit", arranged: { termsAcceptedAt: expect.any(String) as unknown } },
  ]);
});

it("promises a time of its day, says when the plan slips past it, and promises nothing again", () => {
  fakeServer({});
  showVisits([visit({ readyBy: ahead(5.5) })]);
  expect(screen.getByText(/^By the plan it is 30 min late/)).toBeTruthy();
  press("More");
  press("Ready by");
  fireEvent.changeText(screen.getByLabelText("Promised ready by"), "later");
  expect(screen.queryByTestId("promise")).toBeNull();
  fireEvent.changeText(screen.getByLabelText("Promised ready by"), "3:30 pm");
  fireEvent.press(screen.getByTestId("promise"));
  press("Ready by");
  press("Promise nothing");
  expect(given()).toMatchObject([
    { type: "promiseReady", readyBy: expect.stringMatching(/T2[23]:30/) as unknown },
    { type: "promiseReady", readyBy: null },
  ]);
});

it("locks a visit to its time, which cannot be moved then", () => {
  fakeServer({});
  showVisits([visit({ isLocked: true })]);
  expect(screen.getByText(/locked to its time/)).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Move" })).toBeNull();
  press("More");
  press("Unlock");
  expect(given()).toEqual([{ type: "lockVisit", isLocked: false }]);
});

it("takes another car of the customer along and leaves it out, and shares one call-out to the cent", async () => {
  const other: WorkOrderSummary = {
    id: "order-2",
    number: 1002,
    customerId: customerSample().id,
    customerName: customerSample().name,
    vehicleName: "2019 Cormorant Gale",
    plate: null,
    concerns: ["Hums"],
    waitsFor: "time",
    since: ahead(-5),
    totalCents: 0,
    dueCents: 0,
    conflicts: 0,
    unclearCents: 0,
    openConcerns: 0,
    openedAt: ahead(-5),
    nextVisitAt: null,
  };
  fakeServer({ [`GET /api/customers/${customerSample().id}`]: { body: sheetSample({ openWork: [other] }) } });
  showVisits([visit({ workOrderIds: ["order-1", "order-2"] })]);
  press("Charge the call-out, $22.51, shared");
  press("More");
  press("Cars along");
  fireEvent.press(await screen.findByRole("button", { name: /^Leave out: 2019 Cormorant Gale/ }));
  expect(given()).toMatchObject([
    { type: "addVisitFee", kind: "callOut", cars: 2, car: 0 },
    { type: "leaveOut", workOrderId: "order-2" },
  ]);
});

describe("a visit called off", () => {
  const off = (over: Partial<VisitState> = {}): VisitState =>
    visit({ cancelledAt: ahead(0), calledOff: { why: "customer", words: "ill" }, ...over });

  it("offers the owner's fee in one tap where it is late and the terms were accepted", () => {
    fakeServer({});
    showVisits([off({ arranged: { ...nothingArranged(), termsAcceptedAt: ahead(-50) } })]);
    expect(screen.getByText(/called off, they called it off$/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("charge-call-off"));
    const acts = given() as { type: string; jobId?: string; jobIds?: string[] }[];
    expect(acts).toMatchObject([
      { type: "addVisitFee", kind: "callOff", cars: 1, car: 0 },
      { type: "recordAnswers", way: "spoken", answers: [{ answer: "yes", totalCents: 3500 }] },
      { type: "finishJobs", jobIds: [acts[0]?.jobId] },
    ]);
  });

  it("charges nothing where the terms were not accepted, it was in time, or it was our doing", () => {
    fakeServer({});
    showVisits([
      off(),
      off({
        id: "v2",
        startsAt: ahead(60),
        endsAt: ahead(61),
        arranged: { ...nothingArranged(), termsAcceptedAt: ahead(-50) },
      }),
      off({
        id: "v3",
        calledOff: { why: "us", words: "" },
        arranged: { ...nothingArranged(), termsAcceptedAt: ahead(-50) },
      }),
    ]);
    expect(screen.getAllByText(/the terms were not accepted/)).toHaveLength(1);
    expect(screen.queryByTestId("charge-call-off")).toBeNull();
    const again = screen.getAllByRole("button", { name: "It takes place after all" });
    fireEvent.press(again[0] as (typeof again)[number]);
    expect(given()).toEqual([{ type: "reviveVisit", allowOverlap: false }]);
  });
});

it("repeats a visit by a rule: each free time opens a work order of its own and books it", async () => {
  const times = [
    { startsAt: visit().startsAt, endsAt: visit().endsAt, isFree: false },
    { startsAt: ahead(24 * 30), endsAt: ahead(24 * 30 + 1), isFree: true },
    { startsAt: ahead(24 * 60), endsAt: ahead(24 * 60 + 1), isFree: false },
  ];
  const server = fakeServer({ "POST /api/repeats": { body: { times, isCut: false } } });
  const first = visit();
  showVisits([first]);
  press("More");
  press("Repeat");
  fireEvent.press(screen.getByRole("radio", { name: "Every 3 months" }));
  fireEvent.press(screen.getByRole("button", { name: "Further trips less" }));
  await waitFor(() =>
    expect(server.asked.at(-1)?.body).toMatchObject({ rule: "FREQ=MONTHLY;INTERVAL=3;COUNT=3", minutes: 60 }),
  );
  expect(await screen.findAllByText(/taken, is left out$/)).not.toHaveLength(0);
  fireEvent.press(await screen.findByTestId("book-row"));
  const acts = given();
  expect(acts).toMatchObject([
    { type: "openWorkOrder" },
    { type: "bookVisit", startsAt: times[1]?.startsAt, series: { rule: "FREQ=MONTHLY;INTERVAL=3;COUNT=3" } },
  ]);
});

it("keeps why it takes another trip, waits for the parts, and takes along what was agreed", async () => {
  const agreed = { ...nothingArranged(), keyLies: "Under the pot" };
  const offer = {
    mechanicId: "tomas",
    date: "2026-11-27",
    startsAt: ahead(48),
    latestStartsAt: null,
    endsAt: ahead(49),
    addedMinutes: 0,
  };
  const server = fakeServer({
    "POST /api/offered-times": { body: { offers: [offer], heldUntil: ahead(0.1) } },
    "POST /api/held-times": { body: { heldUntil: ahead(0.1) } },
  });
  showVisits([visit({ arranged: agreed, leftAt: ahead(-1) })]);
  press("Book another visit");
  fireEvent.changeText(screen.getByLabelText("Why it takes another trip"), "The part comes Thursday");
  fireEvent.press(screen.getByRole("radio", { name: "Morning" }));
  expect(await screen.findByText(/held for you until/)).toBeTruthy();
  fireEvent.press(await screen.findByRole("radio", { name: /Tomas, on the way/ }));
  await waitFor(() => expect(server.asked.some(({ path }) => path === "/api/held-times")).toBe(true));
  expect(server.asked.filter(({ path }) => path === "/api/offered-times").at(-1)?.body).toMatchObject({
    heldFor: "order-1",
    hold: 3,
    between: { fromMinute: 0, toMinute: 720 },
  });
  fireEvent.press(screen.getByTestId("book-visit"));
  expect(given()).toMatchObject([{ type: "bookVisit", arranged: agreed, anotherTripWhy: "The part comes Thursday" }]);
});
