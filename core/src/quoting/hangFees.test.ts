import { run, SETTINGS, start, yes } from "../testing/sampleWorkOrder";
import type { WorkOrderState } from "../workOrders/state";
import type { FeeRule } from "./pricingRules";
import type { QuoteLine } from "./quoteLine";

const FEES: FeeRule[] = [
  {
    id: "tire",
    title: "Tire disposal",
    priceCents: 400,
    on: { what: "part", kinds: ["tire"], each: true },
    isUntaxed: true,
  },
  {
    id: "any",
    title: "Counter",
    priceCents: 100,
    on: { what: "part", kinds: ["aftermarket", "tire"], each: false },
    isUntaxed: false,
  },
  { id: "labor", title: "Set-up", priceCents: 500, on: { what: "labor" }, isUntaxed: false },
  { id: "late", title: "Late", priceCents: 900, on: { what: "afterHours" }, isUntaxed: false },
];
const settings = { ...SETTINGS, rules: { ...SETTINGS.rules, fees: FEES } };
const opened = (): WorkOrderState =>
  run(null, { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] }, { settings });
const job = (isAfterHours = false): WorkOrderState =>
  run(
    { ...opened(), concerns: start().concerns },
    { type: "addOwnJob", jobId: "j", title: "Tires", concernId: null, on: { facts: FACTS, isAfterHours } },
  );
const FACTS = {
  vehicleClass: null,
  power: null,
  drive: null,
  layout: null,
  rust: null,
  cylinders: null,
  ageYears: null,
  specs: {},
};
const tires = (state: WorkOrderState, quantity = 2): WorkOrderState =>
  run(state, {
    type: "addLine",
    jobId: "j",
    line: {
      ...{
        id: "t",
        kind: "part",
        description: "Tire",
        quantity,
        costCents: 1000,
        markup: "standard",
        priceCents: null,
      },
      ...{ partNumber: null, brand: null, partKind: "tire" },
    },
  });
const fees = (state: WorkOrderState): [string, number][] =>
  (state.jobs[0]?.lines ?? []).flatMap((line: QuoteLine) =>
    line.kind === "fee" ? [[line.description, line.quantity]] : [],
  );

it("comes with what it hangs on, counts with it, and goes with it", () => {
  const two = tires(job());
  expect(fees(two)).toEqual([
    ["Tire disposal", 2],
    ["Counter", 1],
  ]);
  const four = run(two, { type: "changeLine", lineId: "t", hours: null, quantity: 4, priceCents: null });
  expect(fees(four)).toEqual([
    ["Tire disposal", 4],
    ["Counter", 1],
  ]);
  const kind = run(four, { type: "editLine", lineId: "t", change: { partKind: "battery" } });
  expect(fees(kind)).toEqual([]);
  expect(fees(run(four, { type: "removeLine", lineId: "t" }))).toEqual([]);
});

it("hangs on labor and on a time after hours, too", () => {
  const labor = run(job(true), {
    type: "addLine",
    jobId: "j",
    line: {
      id: "l",
      kind: "labor",
      description: "Work",
      hours: 1,
      rateCents: 10_000,
      wageCents: null,
      paidHours: null,
    },
  });
  expect(fees(labor)).toEqual([
    ["Late", 1],
    ["Set-up", 1],
  ]);
});

it("has the same id on every device, and no tax where the law sets it", () => {
  const [one, other] = [tires(job()), tires(job())];
  expect(one.jobs[0]?.lines.map(({ id }) => id)).toEqual(other.jobs[0]?.lines.map(({ id }) => id));
  expect(one.jobs[0]?.lines.find((line) => line.kind === "fee" && line.feeId === "tire")?.taxIds).toEqual([]);
});

it("stays off once it was taken off, until it is put back; a price that was typed stays", () => {
  const two = tires(job());
  const feeId = two.jobs[0]?.lines.find((line) => line.kind === "fee" && line.feeId === "tire")?.id ?? "";
  const off = run(two, { type: "removeLine", lineId: feeId });
  const more = run(off, { type: "changeLine", lineId: "t", hours: null, quantity: 3, priceCents: null });
  expect(fees(more)).toEqual([["Counter", 1]]);
  expect(fees(run(more, { type: "putBack", id: feeId }))).toContainEqual(["Tire disposal", 3]);
  const typed = run(two, { type: "changeLine", lineId: feeId, hours: null, quantity: null, priceCents: 250 });
  const after = run(typed, { type: "changeLine", lineId: "t", hours: null, quantity: 4, priceCents: null });
  expect(after.jobs[0]?.lines.find(({ id }) => id === feeId)).toMatchObject({ priceCents: 250, quantity: 4 });
});

it("leaves alone what was answered", () => {
  const agreed = yes(tires(job()));
  const other = run(agreed, { type: "addOwnJob", jobId: "k", title: "More", concernId: null });
  expect(other.jobs[0]).toEqual(agreed.jobs[0]);
});
