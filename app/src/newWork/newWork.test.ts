import type { DayVisit } from "@mechanon/contract";
import { vehicleSample, SETTINGS_SAMPLE, customerSample, visitSample } from "../testing/samples";
import { emptyDraft, useDraft } from "./draft";
import { freeStarts } from "../booking/freeSlots";
import { readDraft } from "./readDraft";
import { draftConcerns } from "./draftConcerns";
import KEPT_V3 from "../testing/kept/draft.v3.json";
import KEPT_V4 from "../testing/kept/draft.v4.json";
import KEPT_V5 from "../testing/kept/draft.v5.json";
import { upgradeDraft } from "./upgradeDraft";
import { streetsLike, withFound } from "./streets";

const ZONE = "America/Los_Angeles";
const visit = (startsAt: string, endsAt: string): DayVisit => ({
  visit: visitSample({ mechanicId: "odile", startsAt, endsAt }),
  mechanicName: "Odile",
  workOrders: [],
});

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

it("an address that was found has the point of the house, and stands once", () => {
  const near = streetsLike("18 her", SETTINGS_SAMPLE.streets);
  const [offer] = near;
  if (!offer) throw new Error("no street");
  const found = { address: "18 Heron Landing", street: { ...offer.street, latitude: 48.5 } };
  const other = { address: "18 Herring Way", street: { ...offer.street, name: "Herring Way" } };
  expect(withFound(near, [])).toEqual(near);
  expect(withFound(near, [found, other])).toEqual([found, other]);
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
  const around = { quotesOpen: 0, unfit: [], today: "2026-11-26" };
  it("needs a name, and of a car that was typed a yes, and tells what does not fit where", () => {
    expect(readDraft({ ...draft, name: " ", phone: "12", email: "x@", plate: "FRY5083" }, around).faults).toEqual({
      name: "a name is needed",
      phone: expect.stringContaining("no phone number") as unknown,
      email: expect.stringContaining("name@example.com") as unknown,
      car: expect.stringContaining("“FRY5083” is typed, but no car is confirmed") as unknown,
    });
  });
  it("sends only what is not kept yet, with ids of its own", () => {
    const read = readDraft({ ...draft, car: { kind: "new", guess, vinNote: null } }, around);
    expect(read.bodies).toMatchObject({
      customer: { id: draft.customerId, serviceAddresses: [] },
      vehicleId: draft.vehicleId,
      car: { kind: "new", guess: { make: "Shoreline" } },
    });
    const known = customerSample({ id: "c", name: "Known" });
    const kept = readDraft(
      {
        ...draft,
        known,
        car: { kind: "kept", then: "nothing", vehicle: vehicleSample({ ...guess, id: "v", customerId: "c" }) },
      },
      around,
    );
    expect(kept.bodies).toMatchObject({ customer: null, customerId: "c", vehicleId: "v" });
  });
  it("goes without a car where none is known, and takes along what stands in the field of the concern", () => {
    const typed = { ...draft, concernTyped: " hums above 40 ", concerns: [] };
    expect(readDraft(typed, around).bodies).toMatchObject({ car: null, vehicleId: null });
    expect(draftConcerns(typed)).toMatchObject([{ text: "hums above 40", kind: "fault" }]);
  });
  it.each([
    ["2026-11-27", "pick a time for Tomorrow"],
    ["2026-11-25", "the day picked is over"],
  ])("with the day %s picked and no time: %s", (day, words) => {
    const { faults } = readDraft({ ...draft, wish: { ...draft.wish, day } }, around);
    expect(faults?.when).toContain(words);
  });
  it("of yesterday's app goes on as it was kept", () => {
    const { bodies, faults } = readDraft(upgradeDraft(KEPT_V3.state, emptyDraft()), around);
    expect(faults).toBeNull();
    expect(bodies).toMatchObject({
      customer: { name: "Ottilie Brandt", knownFrom: "", phones: [{ number: "360 555 0141" }] },
      car: { kind: "new", guess: { model: "Fusion" } },
    });
    expect(upgradeDraft(KEPT_V3.state, emptyDraft())).toMatchObject({
      workOrderId: KEPT_V3.state.draft.workOrderId,
      wish: { minutes: 90 },
      slot: { startsAt: "2026-11-27T17:00:00.000Z" },
    });
    expect(draftConcerns(upgradeDraft(KEPT_V3.state, emptyDraft()))).toMatchObject([{ text: "Brakes grind" }]);
    expect(upgradeDraft(KEPT_V4.state, emptyDraft())).toMatchObject({
      knownFrom: "from the bakery",
      takeAlong: ["cabin-filter"],
      wish: { day: "2026-11-27" },
      jobs: [],
    });
    expect(upgradeDraft(KEPT_V5.state, emptyDraft())).toMatchObject({
      jobs: [{ libraryJobId: "cabin-filter" }],
      wish: { day: "2026-11-27", minutes: 90, part: "any" },
      arranged: { starts: null, keyLies: "" },
    });
    expect(upgradeDraft({ draft: 4 }, emptyDraft())).toMatchObject({ name: "" });
  });
  it("tells of wanted work that does not fit the car", () => {
    const { faults } = readDraft(draft, { ...around, unfit: ["Spark plugs"] });
    expect(faults).toEqual({ jobs: "Spark plugs: take it off, or pick another" });
  });
  it("starts anew with new ids", () => {
    useDraft.getState().change({ name: "Someone" });
    useDraft.getState().clear();
    expect(useDraft.getState().draft).toMatchObject({ name: "" });
    expect(useDraft.getState().draft.workOrderId).not.toBe(draft.workOrderId);
  });
});
