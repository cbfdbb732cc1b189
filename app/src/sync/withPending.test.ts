import { nothingArranged } from "@mechanon/core";
import { LIBRARY_SAMPLE, SETTINGS_SAMPLE, customerSample, vehicleSample, viewSample } from "../testing/samples";
import { openedHere } from "./openedHere";
import type { Pending } from "./pending";
import { withPending } from "./withPending";

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
          pointIds: [],
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
        arranged: nothingArranged(),
        readyBy: null,
        anotherTripWhy: "",
        series: null,
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

describe("what was opened here", () => {
  const customer: Pending = {
    by: "me",
    kind: "customer",
    id: "01900000-0000-7000-8000-0000000000c1",
    at,
    target: "01900000-0000-7000-8000-0000000000c1",
    body: { name: "Maren Oye", phones: [{ number: "(360) 555-0190" }] },
  };
  const open: Pending = order(
    "open",
    { type: "openWorkOrder", customerId: customer.target, vehicleId: null, concerns: [] },
    "new",
  );
  it("is there before the server knows of it, with the customer as taken down", () => {
    const view = openedHere("new", [customer, open], context);
    expect(view).toMatchObject({ number: 0, revision: 0, vehicle: null, state: { id: "new", openedBy: "me" } });
    expect(view?.customer).toMatchObject({ name: "Maren Oye", phones: [{ number: "+13605550190" }] });
    expect(openedHere("another", [customer, open], context)).toBeUndefined();
  });
  it("takes what was done to it since, and the car that was put in", () => {
    const base = openedHere("new", [customer, open], context);
    if (!base) throw new Error("it was opened");
    const vehicle = vehicleSample({ id: "car-2" });
    const swap: Pending = {
      ...order("swap", { type: "changeVehicle", vehicleId: "car-2", keepFindings: false, keepAnswers: false }, "new"),
      kind: "workOrder",
      command: { type: "changeVehicle", vehicleId: "car-2", keepFindings: false, keepAnswers: false },
      parties: { vehicle },
    };
    const shown = withPending(
      base,
      [customer, open, order("m", { type: "recordOdometer", miles: 7 }, "new"), swap],
      context,
    );
    expect(shown).toMatchObject({ vehicle: { id: "car-2" }, customer: { name: "Maren Oye" } });
    expect(shown.state.odometerMiles).toBeNull();
  });
});

it("shows no tax to a customer who pays none, once the work order is theirs", () => {
  const exempt = { ...customerSample(), id: "c9", taxExemption: { number: "N-1" } };
  const swap: Pending = {
    by: "me",
    kind: "workOrder",
    id: "s",
    at,
    target: "order-1",
    command: { type: "changeCustomer", customerId: "c9", keepAnswers: true },
    parties: { customer: exempt },
  };
  expect(withPending(viewSample(), [swap], context).state.taxExempt).toBe(true);
});
