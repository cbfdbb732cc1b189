import visitBefore from "../testing/samples/visit.v1.json";
import visitBefore2 from "../testing/samples/visit.v2.json";
import visitBefore3 from "../testing/samples/visit.v3.json";
import workOrderBefore from "../testing/samples/workOrder.v1.json";
import workOrderBefore2 from "../testing/samples/workOrder.v2.json";
import { partStatus } from "../sourcing/partStatus";
import { visitState } from "../visits/state";
import { upgradeVisit } from "../visits/upgradeVisit";
import { start } from "../testing/sampleWorkOrder";
import { clientWorkOrderCommand } from "./commands";
import { workOrderState } from "./state";
import { upgradeCommand } from "./upgradeCommand";
import { upgradeWorkOrder } from "./upgradeWorkOrder";

describe("a work order of version 1", () => {
  const stored: Record<string, unknown> = workOrderBefore;
  const upgraded = upgradeWorkOrder(stored);
  it("opens as it is written now, with all that was in it", () => {
    expect(stored.version).toBeUndefined();
    expect(workOrderState.parse(upgraded)).toEqual(upgraded);
    for (const [key, value] of Object.entries(stored))
      if (!["orders", "received", "jobs", "findings"].includes(key)) expect(upgraded).toHaveProperty(key, value);
    expect(upgraded.orders).toMatchObject(stored.orders as object[]);
    expect(upgraded.received).toMatchObject(stored.received as object[]);
  });
  it("has the parts it had where they were", () => {
    const [order] = upgraded.orders;
    const job = upgraded.jobs.find(({ lines }) => lines.some(({ id }) => id === order?.items[0]?.lineId));
    const line = job?.lines.find(({ id }) => id === order?.items[0]?.lineId);
    expect(job && line?.kind === "part" ? partStatus(upgraded, job, line) : null).toBe("inHand");
    expect(upgraded.received[0]?.quantity).toBe(order?.items[0]?.quantity);
  });
});

it("a work order of version 2 opens with its measurement, photo and cure where they are now", () => {
  const upgraded = upgradeWorkOrder(workOrderBefore2);
  expect(workOrderState.parse(upgraded)).toEqual(upgraded);
  expect(upgraded.findings).toMatchObject([
    { pointId: "pads", grade: "act", measures: { value: 2.5 }, note: "worn to the metal" },
    { pointId: "oil", measures: {} },
  ]);
  expect(upgraded.pictures).toMatchObject([{ of: "point", id: "pads", media: "photo", by: "odile" }]);
  expect(upgraded.jobs).toMatchObject([{ id: "j", concernId: "c1", pointIds: ["pads"] }]);
  expect(upgraded).toMatchObject({ sheets: [], apart: null, codes: [], odometerMiles: { value: 61240 } });
});

it("a visit of version 1 opens, and stands in nobody's way", () => {
  const upgraded = upgradeVisit(visitBefore);
  expect(visitState.parse(upgraded)).toEqual(upgraded);
  expect(upgraded.overlapAllowed).toBe(true);
});

it("a visit of version 2 opens with nothing asked, promised or locked", () => {
  const upgraded = upgradeVisit(visitBefore2);
  expect(visitState.parse(upgraded)).toEqual(upgraded);
  expect(upgraded).toMatchObject({ overlapAllowed: false, isLocked: false, readyBy: null, calledOff: null });
});

it("a visit of version 3 opens with nobody waiting for an earlier time", () => {
  const upgraded = upgradeVisit(visitBefore3);
  expect(visitState.parse(upgraded)).toEqual(upgraded);
  expect(upgraded).toMatchObject({ anotherTripWhy: "the part came late", wantsEarlier: false, driveMinutes: null });
});

it("what is current is handed back as it is, and what is newer than the program is not guessed at", () => {
  const state = start();
  expect(upgradeWorkOrder(state)).toBe(state);
  expect(() => upgradeWorkOrder({ ...state, version: 99 })).toThrow(RangeError);
  expect(() => upgradeVisit({ version: 99 })).toThrow(RangeError);
});

it("a command queued by yesterday's app is read as today's", () => {
  const lineId = "01900000-0000-7000-8000-000000000001";
  const upgraded = upgradeCommand({ type: "receiveParts", lineIds: [lineId] });
  expect(clientWorkOrderCommand.parse(upgraded)).toEqual({ type: "receiveParts", items: [{ lineId, quantity: null }] });
  const [pointId, photoId, note] = ["pads", lineId, ""];
  expect(
    [
      { type: "gradePoint", pointId, grade: "act", measured: 2.5, note },
      { type: "attachPhoto", pointId, photoId },
      { type: "removePhoto", pointId, photoId },
      { type: "addJob", jobId: lineId, libraryJobId: "b", lineIds: [], concernId: null, pointId },
    ].map((before) => clientWorkOrderCommand.parse(upgradeCommand(before))),
  ).toMatchObject([
    { measures: { value: 2.5 } },
    { of: "point", id: "pads", media: "photo" },
    { type: "removePhoto", photoId },
    { pointIds: ["pads"] },
  ]);
  const current = { type: "recordOdometer", miles: 1 };
  expect(upgradeCommand(current)).toBe(current);
  expect(upgradeCommand(null)).toBeNull();
});
