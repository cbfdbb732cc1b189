import { act, fireEvent, screen, waitFor } from "@testing-library/react-native";
import type { Conflict, WorkOrderState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useSync } from "../sync/state";
import { fakeServer, givenCommands, problemReply, resetSync, show, type Reply } from "../testing/harness";
import { visited } from "../testing/router";
import { jobSample, stateSample, viewSample, visitSample } from "../testing/samples";
import { WorkSheet } from "./WorkSheet";

/** What each key does; the library listens to a window, which tests have not. */
const mockKeys = new Map<string, () => void>();
jest.mock("react-hotkeys-hook", () => ({ useHotkeys: (key: string, act: () => void) => mockKeys.set(key, act) }));

const AT = "2026-11-23T17:00:00.000Z";
const soon = new Date(Date.now() + 3600_000).toISOString();
const later = new Date(Date.now() + 7200_000).toISOString();
const booked = visitSample({ startsAt: soon, endsAt: later });
const here = { ...booked, setOffAt: AT, arrivedAt: AT };
const checked: Partial<WorkOrderState> = {
  findings: ["pads", "oil"].map((pointId) => ({
    pointId,
    grade: "sound",
    measures: {},
    note: "",
    at: AT,
    by: "me",
  })),
};

function open(state: Partial<WorkOrderState> = {}, over: Partial<WorkOrderView> = {}, reply?: Reply): void {
  const view = viewSample({ state: stateSample(state), ...over });
  fakeServer({
    "GET /api/work-orders/order-1": reply ?? { body: view },
    "GET /api/day": { body: { date: "2026-11-23", visits: [] } },
  });
  show(<WorkSheet id="order-1" />);
}
const isOpen = (part: string): boolean =>
  screen.queryByRole("button", { name: new RegExp(`^${part},`), expanded: true }) !== null;

beforeEach(() => {
  resetSync();
  visited.length = 0;
});

it("shows who and what it is about, with the part that is due standing open", async () => {
  open();
  expect(await screen.findByRole("heading", { name: "Maren Oyelaran" })).toBeTruthy();
  expect(screen.getByText(/^1001 · /)).toBeTruthy();
  expect(isOpen("Visits")).toBe(true);
  expect(isOpen("Money")).toBe(false);
  fireEvent.press(screen.getByRole("button", { name: /^Money,/ }));
  expect(isOpen("Money")).toBe(true);
  fireEvent.press(screen.getByRole("link", { name: "Back to the day" }));
  expect(visited).toEqual(["/"]);
});

it("opens parts, and does what is due, by keys", async () => {
  open({}, { visits: [booked] });
  await screen.findByTestId("next-act");
  act(() => mockKeys.get("j")?.());
  expect(isOpen("Quote")).toBe(true);
  act(() => mockKeys.get("b")?.());
  expect(isOpen("Visits")).toBe(true);
  act(() => mockKeys.get("a")?.());
  expect(givenCommands()).toMatchObject([{ type: "setOff" }]);
});

it("says on the way, and here, from its foot", async () => {
  open({}, { visits: [booked] });
  fireEvent.press(await screen.findByTestId("next-act"));
  fireEvent.press(await screen.findByRole("button", { name: "I'm here" }));
  expect(givenCommands()).toMatchObject([{ type: "setOff" }, { type: "arrive" }]);
});

it("leads to the quote once all is looked at, and to the receipt once it is paid", async () => {
  open({ ...checked, jobs: [jobSample()] }, { visits: [here] });
  fireEvent.press(await screen.findByRole("button", { name: /^Show quote, / }));
  expect(visited).toEqual(["/show/order-1"]);
  screen.unmount();
  resetSync();
  const paid = {
    id: "p",
    at: AT,
    by: "me",
    method: "cash" as const,
    status: "taken" as const,
    amountCents: 1100,
    tenderedCents: 1100,
    card: null,
    reason: null,
  };
  const own = jobSample({ lines: [], answer: { value: "yes", approvalId: "a", totalCents: 0 }, finishedAt: AT });
  open({ ...checked, jobs: [own], payments: [paid] }, { visits: [here] });
  const next = await screen.findByTestId("next-act");
  expect(next.props.accessibilityLabel).toBe("Show receipt");
  fireEvent.press(next);
  expect(visited.at(-1)).toBe("/work/order-1/receipt");
});

it("finishes what was agreed to, all at once", async () => {
  const labor = jobSample().lines.filter(({ kind }) => kind === "labor");
  const agreed = jobSample({ lines: labor, answer: { value: "yes", approvalId: "a", totalCents: 1000 } });
  const free = jobSample({
    id: "k",
    title: "Look",
    lines: [],
    answer: { value: "yes", approvalId: "a", totalCents: 0 },
  });
  open({ ...checked, jobs: [agreed, free] }, { visits: [here] });
  fireEvent.press(await screen.findByRole("button", { name: "Finish 2 jobs" }));
  expect(givenCommands()).toEqual([{ type: "finishJobs", jobIds: ["j", "k"] }]);
});

it("shows a mark of something that no longer fitted until somebody settles it", async () => {
  const mark: Conflict = {
    id: "m",
    commandId: "c",
    code: "approval/job-gone",
    detail: "Wiper blades",
    at: AT,
    settledAt: null,
    settledBy: null,
  };
  open({ conflicts: [mark, { ...mark, id: "n", settledAt: AT, settledBy: "me" }] });
  expect(await screen.findAllByRole("button", { name: "Settled" })).toHaveLength(1);
  fireEvent.press(screen.getByRole("button", { name: "Settled" }));
  expect(givenCommands()).toEqual([{ type: "settleConflict", conflictId: "m" }]);
});

it("asks for the car first where there is none", async () => {
  open({ vehicleId: null }, { vehicle: null });
  expect(await screen.findByRole("button", { name: "Choose the car" })).toBeTruthy();
  expect(screen.getByText("No car yet")).toBeTruthy();
});

it("that cannot be loaded says why, with a way on and a way out", async () => {
  open({}, {}, problemReply(404, "work-order/not-found", "This work order is not there."));
  expect(await screen.findByText("This work order is not there.")).toBeTruthy();
  fakeServer({ "GET /api/work-orders/order-1": { body: viewSample() } });
  fireEvent.press(screen.getByRole("button", { name: "Try again" }));
  await waitFor(() => expect(useSync.getState().views["order-1"]).toBeTruthy());
  expect(await screen.findByText(/^1001 · /)).toBeTruthy();
});
