import keptPending from "../testing/kept/pending.v1.json";
import { LIBRARY_SAMPLE, SETTINGS_SAMPLE, viewSample } from "../testing/samples";
import { nextBatch, retryDelayMs, settle, upgradePending, withPending, type Pending } from "./queue";

const context = {
  actor: { id: "me", name: "Me", rights: ["seeCost" as const, "changePrices" as const] },
  settings: SETTINGS_SAMPLE,
  library: LIBRARY_SAMPLE,
};
const at = "2026-11-23T17:00:00.000Z";
const order = (
  id: string,
  command: Extract<Pending, { kind: "workOrder" }>["command"],
  target = "order-1",
): Pending => ({ by: "me", kind: "workOrder", id, at, target, command });

describe("what the device shows", () => {
  it("is the server's copy with all that is pending", () => {
    const shown = withPending(
      viewSample(),
      [
        order("c1", { type: "recordOdometer", miles: 5 }),
        order("c2", {
          type: "addJob",
          jobId: "job-1",
          libraryJobId: "wipers",
          lineIds: ["l1", "l2"],
          concernId: null,
          pointId: null,
        }),
      ],
      context,
    );
    expect(shown.state.odometerMiles?.value).toBe(5);
    expect(shown.state.jobs.map(({ title }) => title)).toEqual(["Wiper blades"]);
  });
  it("leaves out what no longer fits, and what is for another", () => {
    const base = viewSample();
    const shown = withPending(
      base,
      [order("c1", { type: "removeJob", jobId: "gone" }), order("c2", { type: "recordOdometer", miles: 7 }, "order-2")],
      context,
    );
    expect(shown.state).toEqual(base.state);
  });
  it("books and moves visits in place, earliest first", () => {
    const place = {
      street: "1 Kelp Street",
      town: "Larkhaven",
      region: "WA",
      postcode: "98099",
      latitude: null,
      longitude: null,
    };
    const book = (id: string, startsAt: string, endsAt: string): Pending => ({
      by: "me",
      kind: "visit",
      id,
      at,
      target: `visit-${id}`,
      workOrderId: "order-1",
      command: {
        type: "bookVisit",
        workOrderIds: ["order-1"],
        mechanicId: "me",
        place,
        startsAt,
        endsAt,
        note: "",
        allowOverlap: false,
      },
    });
    const shown = withPending(
      viewSample(),
      [
        book("b", "2026-11-25T17:00:00.000Z", "2026-11-25T18:00:00.000Z"),
        book("a", "2026-11-24T17:00:00.000Z", "2026-11-24T18:00:00.000Z"),
      ],
      context,
    );
    expect(shown.visits.map(({ id }) => id)).toEqual(["visit-a", "visit-b"]);
  });
});

it("opens what yesterday's app queued, as it is queued now", () => {
  // Kept as the commit before wrote it.
  const upgraded = upgradePending(keptPending as Pending[]);
  expect(upgraded.map(({ command }) => command)).toEqual([
    { type: "recordOdometer", miles: 88120 },
    { type: "receiveParts", items: [{ lineId: "01900000-0000-7000-8000-000000000001", quantity: null }] },
    { type: "leave" },
  ]);
  expect(upgraded.map(({ id }) => id)).toEqual(keptPending.map(({ id }) => id));
  expect(withPending(viewSample(), upgraded, context).state.received).toMatchObject([{ quantity: 1 }]);
});

describe("sending", () => {
  const pending = [
    order("1", { type: "recordOdometer", miles: 1 }),
    order("2", { type: "recordOdometer", miles: 2 }),
    order("3", { type: "recordOdometer", miles: 3 }, "order-2"),
    order("4", { type: "recordOdometer", miles: 4 }),
  ];
  it("takes the oldest and those behind it for the same target, in order", () => {
    expect(nextBatch(pending, "me").map(({ id }) => id)).toEqual(["1", "2"]);
    expect(nextBatch(pending, "me", new Set(), 1).map(({ id }) => id)).toEqual(["1"]);
    expect(nextBatch(pending, "me", new Set(["order-1"])).map(({ id }) => id)).toEqual(["3"]);
    expect(nextBatch([], "me")).toEqual([]);
    expect(nextBatch(pending, "somebody else")).toEqual([]);
  });
  it("keeps what was not answered, and tells what was refused", () => {
    const { pending: left, refused } = settle(pending, [
      { id: "1", outcome: "applied", refusal: null, conflicts: [] },
      { id: "3", outcome: "refused", refusal: "job/finished", conflicts: [] },
    ]);
    expect(left.map(({ id }) => id)).toEqual(["2", "4"]);
    expect(refused).toEqual([{ id: "3", target: "order-2", code: "job/finished", item: pending[2] }]);
  });
  it("waits longer each time, up to half a minute", () => {
    expect([1, 2, 3, 20].map(retryDelayMs)).toEqual([1000, 2000, 4000, 30000]);
  });
});
