import type { Customer, Vehicle } from "@mechanon/contract";
import { fakeServer, problemReply, resetSync, type Asked, type Reply } from "../testing/harness";
import { carSheetSample, customerSample, sheetSample, vehicleSample, viewSample } from "../testing/samples";
import { changeCustomer, changeVehicle, customerNotTaken } from "./changeKept";
import { give } from "./give";
import { customerRecord, vehicleRecord } from "./keptRecords";
import { flush, stopSending, tellChanges } from "./sender";
import { useSync } from "./state";
import { withCarSheetChanges, withCustomerChanges, withSheetChanges } from "./withKeptChanges";

const state = () => useSync.getState();
const MAREN = customerSample({ id: "0190a000-0000-7000-8000-000000000001" });
const CAR = vehicleSample({ customerId: MAREN.id });

/** A server that keeps one customer and one car, as they are changed; whoever has an older version is told so. */
function keeping(): { customer: Customer; vehicle: Vehicle; asked: Asked[]; onPatch: (() => Reply | undefined)[] } {
  const kept = { customer: MAREN, vehicle: CAR, asked: [] as Asked[], onPatch: [] as (() => Reply | undefined)[] };
  const patch = (name: "customer" | "vehicle") => (asked: Asked) => {
    const before = kept[name].version;
    const instead = kept.onPatch.shift()?.();
    const { version, ...changes } = asked.body as { version: number };
    if (kept[name].version !== version) return problemReply(409, "version/changed", "Somebody else changed it.");
    Object.assign(kept, { [name]: { ...kept[name], ...changes, version: before + 1 } });
    return instead ?? { body: kept[name] };
  };
  const { asked } = fakeServer({
    [`GET /api/customers/${MAREN.id}`]: () => ({ body: sheetSample({ customer: kept.customer }) }),
    [`PATCH /api/customers/${MAREN.id}`]: patch("customer"),
    [`GET /api/vehicles/${CAR.id}`]: () => ({ body: kept.vehicle }),
    [`PATCH /api/vehicles/${CAR.id}`]: patch("vehicle"),
    [`POST /api/vehicles/${CAR.id}/corrections`]: { body: carSheetSample({ vehicle: CAR }) },
    [`POST /api/vehicles/${CAR.id}/people`]: { body: CAR },
    [`POST /api/vehicles/${CAR.id}/move`]: { body: CAR },
    [`DELETE /api/vehicles/${CAR.id}/people/p`]: { body: CAR },
  });
  kept.asked = asked;
  return kept;
}
const goesOut = async (): Promise<void> => {
  useSync.setState({ sending: false });
  await flush();
};

beforeEach(() => {
  stopSending();
  resetSync();
  useSync.setState({ refused: [] });
});

it("what was changed without a signal shows at once, and leaves what others changed beside it", async () => {
  const server = keeping();
  await changeCustomer(MAREN.id, customerRecord(MAREN), { ...customerRecord(MAREN), notes: "Dog bites" });
  await changeVehicle(CAR.id, vehicleRecord(CAR), { nickname: "Bluebell" });
  expect(withSheetChanges(sheetSample({ customer: MAREN, vehicles: [CAR] }), state().pending)).toMatchObject({
    customer: { notes: "Dog bites" },
    vehicles: [{ nickname: "Bluebell" }],
  });
  server.customer = { ...MAREN, name: "Maren Vance", version: 5 };
  server.vehicle = { ...CAR, color: "Green", version: 3 };
  const told = jest.fn();
  tellChanges(jest.fn(), told);
  useSync.setState({ views: { "order-1": viewSample({ customer: MAREN, vehicle: CAR }) } });
  await goesOut();
  expect(state()).toMatchObject({ pending: [], refused: [] });
  expect(server.customer).toMatchObject({ name: "Maren Vance", notes: "Dog bites", version: 6 });
  expect(server.vehicle).toMatchObject({ color: "Green", nickname: "Bluebell", version: 4 });
  // What shows it knows before it leaves the line: no frame is without it.
  expect(told).toHaveBeenCalledWith({ customer: server.customer });
  expect(state().views["order-1"]).toMatchObject({
    customer: { notes: "Dog bites" },
    vehicle: { nickname: "Bluebell" },
  });
});

it("tells of what somebody else changed to something else, lets theirs stand, and goes again with both seen", async () => {
  const server = keeping();
  await changeCustomer(MAREN.id, customerRecord(MAREN), { ...customerRecord(MAREN), notes: "Mine", knownFrom: "Fair" });
  server.customer = { ...MAREN, notes: "Theirs", version: 2 };
  await goesOut();
  expect(server.customer.notes).toBe("Theirs");
  expect(state().refused).toMatchObject([{ refusal: { code: "version/changed" } }]);
  expect(state().refused[0]?.refusal?.words).toMatch(/changed the notes meanwhile/);
  const refused = customerNotTaken(MAREN.id);
  const from = customerRecord(server.customer);
  await changeCustomer(MAREN.id, from, { ...from, ...refused.fields });
  await refused.settle();
  await goesOut();
  expect(state()).toMatchObject({ pending: [], refused: [] });
  expect(server.customer).toMatchObject({ notes: "Mine", knownFrom: "Fair" });
});

it("is made once where the answer was lost, and anew where somebody came in between", async () => {
  const server = keeping();
  server.onPatch = [() => "down"];
  await changeCustomer(MAREN.id, customerRecord(MAREN), { ...customerRecord(MAREN), notes: "Once" });
  await goesOut();
  expect(state().pending).toHaveLength(1);
  server.onPatch = [
    () => {
      server.customer = { ...server.customer, name: "In Between", version: 9 };
      return undefined;
    },
  ];
  stopSending();
  await goesOut();
  expect(state()).toMatchObject({ pending: [], refused: [] });
  expect(server.customer).toMatchObject({ name: "In Between", notes: "Once" });
});

it("nothing is sent where nothing was changed", async () => {
  keeping();
  await changeVehicle(CAR.id, vehicleRecord(CAR), vehicleRecord(CAR));
  expect(state().pending).toEqual([]);
});

it("agreements, corrections, drivers and owners show at once and go out in order", async () => {
  const server = keeping();
  const interval = { id: "oil", title: "Oil", miles: 9000, months: null };
  await give([
    { kind: "agreement", target: MAREN.id, interval },
    { kind: "specCorrection", target: CAR.id, key: "oilGrade", value: "5W-30" },
    { kind: "vehicleOwner", target: CAR.id, customerId: "p", name: "Lazlo Quint", becomes: "driver", role: "Spouse" },
    { kind: "personOff", target: CAR.id, customerId: "p" },
    { kind: "vehicleOwner", target: CAR.id, customerId: "q", name: "Noor Bell", becomes: "owner" },
  ]);
  expect(withCustomerChanges(MAREN, state().pending).serviceIntervals).toEqual([interval]);
  const sheet = carSheetSample({ vehicle: CAR });
  const shown = withCarSheetChanges(sheet, state().pending, (id) => `person ${id}`);
  expect(shown).toMatchObject({
    owner: { id: "q", name: "Noor Bell" },
    people: [],
    corrections: [{ key: "oilGrade", value: "5W-30", by: "person me" }],
    vehicle: { customerId: "q" },
  });
  expect(withCarSheetChanges(sheet, state().pending.slice(0, 3), String).people).toMatchObject([{ role: "Spouse" }]);
  await goesOut();
  expect(server.customer.serviceIntervals).toEqual([interval]);
  expect(state()).toMatchObject({ pending: [], refused: [] });
  const sent = server.asked
    .filter(({ method }) => method !== "GET")
    .map(({ method, path, body }) => [method, path, body]);
  expect(sent.slice(1)).toEqual([
    ["POST", `/api/vehicles/${CAR.id}/corrections`, { key: "oilGrade", value: "5W-30" }],
    ["POST", `/api/vehicles/${CAR.id}/people`, { customerId: "p", role: "Spouse" }],
    ["DELETE", `/api/vehicles/${CAR.id}/people/p`, undefined],
    ["POST", `/api/vehicles/${CAR.id}/move`, { customerId: "q", version: CAR.version }],
  ]);
});
