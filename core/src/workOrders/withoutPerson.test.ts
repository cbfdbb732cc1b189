import { nothingArranged } from "../visits/arranged";
import { receiptOf } from "../payments/receipt";
import { SETTINGS, LIBRARY, FULL_ACTOR } from "../testing/sampleWorkOrder";
import { applyCommand } from "../workOrders/applyCommand";
import type { WorkOrderCommand } from "../workOrders/commands";
import type { WorkOrderState } from "../workOrders/state";
import { ERASED, visitWithoutPerson, workOrderWithoutPerson } from "./withoutPerson";

const AT = "2026-11-23T17:00:00.000Z";
const built = (commands: WorkOrderCommand[]): WorkOrderState => {
  let state: WorkOrderState | null = null;
  for (const command of commands)
    state = applyCommand(state, command, {
      aggregateId: "w",
      commandId: "c",
      at: AT,
      actor: FULL_ACTOR,
      settings: SETTINGS,
      library: LIBRARY,
      taxExempt: false,
    });
  if (!state) throw new Error("nothing was built");
  return state;
};

describe("a work order without its person", () => {
  const before = built([
    {
      type: "openWorkOrder",
      customerId: "maren",
      vehicleId: "v",
      concerns: [
        { id: "1", text: "Brakes grind", kind: "fault", phraseId: "grind" },
        { id: "2", text: "Maren hears it by the ferry", kind: "fault", phraseId: null },
      ],
    },
    { type: "gradePoint", pointId: "oil", grade: "watch", measures: {}, note: "Maren will watch it" },
    { type: "attachPhoto", photoId: "p", media: "photo", of: "point", id: "oil", moment: null, drawnOn: null },
    {
      type: "addJob",
      jobId: "j",
      libraryJobId: "brakes",
      lineIds: LIBRARY[0]?.lines.map(({ id }) => id) ?? [],
      concernId: null,
      pointIds: [],
    },
    {
      type: "recordAnswers",
      approvalId: "a",
      way: "signed",
      name: "Maren Oyelaran",
      signature: [[1, 2, 3, 4]],
      answers: [{ jobId: "j", title: "Brakes", answer: "yes", totalCents: 0 }],
      totalCents: 0,
    },
  ]);
  const after = workOrderWithoutPerson(before);

  it("has no digest left by which what was shown could be tried out; that there was one stays", () => {
    const [approval] = before.approvals;
    const shown = workOrderWithoutPerson({ ...before, approvals: approval ? [{ ...approval, shown: "ab12" }] : [] });
    expect(shown.approvals[0]?.shown).toBe(ERASED);
  });

  it("has no name, own words, notes, photos or signature left", () => {
    expect(JSON.stringify({ ...after, customerId: "" })).not.toMatch(/maren/i);
    expect(after.concerns.map(({ text }) => text)).toEqual(["Brakes grind", ERASED]);
    expect(after.findings).toMatchObject([{ grade: "watch", note: "" }]);
    expect(after.pictures).toEqual([]);
    expect(after.approvals).toMatchObject([{ name: ERASED, signature: [] }]);
  });
  it("says what was done and owed to the cent", () => {
    const [was, is] = [receiptOf(before), receiptOf(after)];
    expect([is.totalCents, is.paidCents, is.dueCents]).toEqual([was.totalCents, was.paidCents, was.dueCents]);
    expect(after.jobs).toEqual(before.jobs);
  });
  it("leaves the one it was made from as it was", () => {
    expect(before.approvals[0]?.name).toBe("Maren Oyelaran");
  });
});

it("a visit keeps its town and time, not the house", () => {
  const place = {
    street: "18 Heron Landing",
    town: "Larkhaven",
    region: "WA",
    postcode: "98099",
    latitude: 48,
    longitude: -122,
  };
  const visit = {
    version: 4 as const,
    overlapAllowed: false,
    isLocked: false,
    arranged: { ...nothingArranged(), whoIsThere: "Ana", keyLies: "Under the pot", maySayYes: "Ana, 555", roof: true },
    readyBy: null,
    anotherTripWhy: "The nut is seized",
    series: null,
    calledOff: { why: "customer" as const, words: "Ana is ill" },
    id: "v",
    workOrderIds: ["w"],
    wantsEarlier: false,
    driveMinutes: null,
    mechanicId: "m",
    place,
    startsAt: AT,
    endsAt: AT,
    note: "Key under the pot",
    bookedAt: AT,
    setOffAt: null,
    arrivedAt: AT,
    leftAt: AT,
    cancelledAt: null,
  };
  expect(visitWithoutPerson(visit)).toEqual({
    ...visit,
    note: "",
    arranged: { ...nothingArranged(), roof: true },
    anotherTripWhy: "",
    calledOff: { why: "customer", words: "" },
    place: { street: "", town: "Larkhaven", region: "WA", postcode: "98099", latitude: null, longitude: null },
  });
});
