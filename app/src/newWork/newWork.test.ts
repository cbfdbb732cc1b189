import type { DayVisit } from "@mechanon/contract";
import { vehicleSample, SETTINGS_SAMPLE, customerSample } from "../testing/samples";
import { useDraft } from "./draft";
import { freeStarts } from "./freeSlots";
import { readDraft } from "./readDraft";
import { streetsLike } from "./streets";

const ZONE = "America/Los_Angeles";
const visit = (startsAt: string, endsAt: string): DayVisit => ({ visit: { version: 2, overlapAllowed: false, id: "v", workOrderIds: ["w"], mechanicId: "odile", place: { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null }, startsAt, endsAt, note: "", bookedAt: startsAt, setOffAt: null, arrivedAt: null, leftAt: null, cancelledAt: null }, mechanicName: "Odile", workOrders: [] }); // prettier-ignore

describe("free times", () => {
  const busy = [visit("2026-11-23T17:00:00.000Z", "2026-11-23T18:30:00.000Z")];
  it("leave out what overlaps a visit, for the whole length", () => {
    const starts = freeStarts(busy, "odile", "2026-11-23", 60, ZONE, "2026-11-22T00:00:00.000Z");
    expect(starts).toContain("2026-11-23T16:00:00.000Z");
    expect(starts).not.toContain("2026-11-23T16:30:00.000Z");
    expect(starts).not.toContain("2026-11-23T18:00:00.000Z");
    expect(starts).toContain("2026-11-23T18:30:00.000Z");
  });
  it("are another mechanic's all the same", () => {
    expect(freeStarts(busy, "tomas", "2026-11-23", 60, ZONE, "2026-11-22T00:00:00.000Z")).toHaveLength(21);
  });
  it("offer right now on the day itself, and nothing that has passed", () => {
    const now = "2026-11-24T00:45:00.000Z";
    expect(freeStarts([], "odile", "2026-11-23", 60, ZONE, now)).toEqual([now, "2026-11-24T01:00:00.000Z"]);
    expect(freeStarts([], "odile", "2026-11-24", 600, ZONE, now)).toHaveLength(3);
  });
});

describe("streets", () => {
  it("are found by their first letters, the number kept", () => {
    expect(streetsLike("18b her", SETTINGS_SAMPLE.streets).map(({ address }) => address)).toEqual([
      "18b Heron Landing",
    ]);
    expect(streetsLike("h", SETTINGS_SAMPLE.streets)).toEqual([]);
    expect(streetsLike("7 Heron Landing", SETTINGS_SAMPLE.streets)).toEqual([]);
  });
});

describe("a draft", () => {
  const draft = { ...useDraft.getState().draft, name: "Ottilie Brandt" };
  const guess = {
    vin: null,
    plate: null,
    region: null,
    year: 2006,
    make: "Shoreline",
    model: "boat trailer",
    trim: null,
    engine: null,
    drive: null,
    transmission: null,
    color: null,
  };
  it("needs a name and a confirmed car, and tells what does not fit where", () => {
    expect(readDraft({ ...draft, name: " ", phone: "12", email: "x@" }).faults).toEqual({
      name: "a name is needed",
      phone: expect.stringContaining("no phone number") as unknown,
      email: expect.stringContaining("name@example.com") as unknown,
      car: expect.stringContaining("confirm") as unknown,
    });
  });
  it("sends only what is not kept yet, with ids of its own", () => {
    const read = readDraft({ ...draft, car: { kind: "new", guess, vinNote: null } });
    expect(read.bodies).toMatchObject({
      customer: { id: draft.customerId, serviceAddresses: [] },
      vehicle: { id: draft.vehicleId, customerId: draft.customerId, make: "Shoreline" },
    });
    const known = customerSample({ id: "c", name: "Known" });
    const kept = readDraft({
      ...draft,
      known,
      car: { kind: "kept", then: "nothing", vehicle: vehicleSample({ ...guess, id: "v", customerId: "c" }) },
    });
    expect(kept.bodies).toMatchObject({ customer: null, vehicle: null, customerId: "c", vehicleId: "v" });
  });
  it("starts anew with new ids", () => {
    useDraft.getState().change({ name: "Someone" });
    useDraft.getState().clear();
    expect(useDraft.getState().draft).toMatchObject({ name: "" });
    expect(useDraft.getState().draft.workOrderId).not.toBe(draft.workOrderId);
  });
});
