import { FULL_ACTOR, run, start } from "../testing/sampleWorkOrder";
import { rightsFor, type WorkOrderCommand } from "../workOrders/commands";
import { redactWorkOrder } from "../workOrders/redactWorkOrder";
import type { WorkOrderState } from "../workOrders/state";
import { creditedHours, earnedPay } from "./assigned";
import type { MoneyRules } from "./moneyRules";
import { priceWorkOrder } from "./priceWorkOrder";
import type { LaborLine } from "./quoteLine";
import { earnedByPerson } from "./withPay";

const id = (number: number): string => `00000000-0000-4000-8000-${String(number).padStart(12, "0")}`;
const line = (over: Partial<LaborLine> = {}): LaborLine => ({
  id: id(10),
  kind: "labor",
  description: "Pads",
  hours: 1,
  rateCents: 10_000,
  wageCents: 3_000,
  paidHours: null,
  ...over,
});
const RULES: MoneyRules = {
  ...start().rules,
  pay: [
    { personId: "ana", by: "credited", cents: 4_000 },
    { personId: "ben", by: "commission", percent: 30 },
    { personId: "cho", by: "hour", cents: 2_500 },
  ],
};
const quoted = (pay = RULES.pay): WorkOrderState =>
  run(
    { ...start(), rules: { ...RULES, pay } },
    { type: "addJob", jobId: id(1), libraryJobId: "brakes", lineIds: [id(10), id(11)], concernId: null, pointIds: [] },
  );
const assign = (...assigned: { personId: string; hours?: number | null }[]): WorkOrderCommand => ({ type: "assignLabor", lineId: id(10), assigned }); // prettier-ignore
const linesOf = (state: WorkOrderState): LaborLine["assigned"] =>
  state.jobs[0]?.lines.flatMap((each) => (each.kind === "labor" ? (each.assigned ?? []) : []));

it.each<[string, LaborLine["assigned"], number[]]>([
  ["nobody", undefined, []],
  ["one has it all", [{ personId: "ana", hours: null }], [1]],
  ["three share it to a ten-thousandth", [{ personId: "ana", hours: null }, { personId: "ben", hours: null }, { personId: "cho", hours: null }], [0.3334, 0.3333, 0.3333]],
  ["what was typed stands, the rest is the other's", [{ personId: "ana", hours: 0.3 }, { personId: "ben", hours: null }], [0.3, 0.7]],
  ["more may be credited than is billed", [{ personId: "ana", hours: 1.5 }, { personId: "ben", hours: null }], [1.5, 0]],
])("credits hours: %s", (_name, assigned, hours) => {
  expect(creditedHours(line({ ...(assigned ? { assigned } : {}) })).map((each) => each.hours)).toEqual(hours);
}); // prettier-ignore

it("pays by the credited hour, by a share of the labor, by the hour there, else the house's wage", () => {
  const assigned = ["ana", "ben", "cho", "dee"].map((personId) => ({ personId, hours: 0.5 }));
  const pay = earnedPay(line({ assigned }), 9_001, RULES);
  expect(pay.map(({ cents }) => cents)).toEqual([2_000, 675, 1_250, 1_500]);
});

it("the margin counts what the people are paid, and billed hours stay as they are", () => {
  const before = priceWorkOrder(quoted(), "all");
  const state = run(quoted(), assign({ personId: "ana", hours: 1.2 }, { personId: "ben" }));
  const after = priceWorkOrder(state, "all");
  expect([before.profit.cost, after.profit.cost]).toEqual([6_000, 3_000 + 4_800]);
  expect(after.profit).toMatchObject({ gross: after.profit.revenue - 7_800, marginPercent: 52.7 });
  expect(after.total).toBe(before.total);
  expect(earnedByPerson(after, state)).toEqual([
    { personId: "ana", hours: 1.2, cents: 4_800 },
    { personId: "ben", hours: 0, cents: 0 },
  ]);
});

it("hours that were typed stay where only the people are changed; taken off, nobody is left", () => {
  const state = run(quoted(), assign({ personId: "ana", hours: 0.4 }));
  const both = run(state, assign({ personId: "ana" }, { personId: "ben" }));
  expect(linesOf(both)).toEqual([
    { personId: "ana", hours: 0.4 },
    { personId: "ben", hours: null },
  ]);
  expect(linesOf(run(both, assign({ personId: "ana", hours: null })))).toEqual([{ personId: "ana", hours: null }]);
  expect(linesOf(run(both, assign()))).toEqual([]);
  expect(() => run(state, { type: "assignLabor", lineId: id(11), assigned: [] })).toThrow("line/figure-does-not-fit");
});

it("who does it is anybody's to say; hours credited take the right to change prices, and are seen only with the right to see cost", () => {
  const state = run(quoted(), assign({ personId: "ana", hours: 0.4 }));
  expect(rightsFor(assign({ personId: "ana" }), state)).toEqual([]);
  expect(rightsFor(assign({ personId: "ana", hours: null }), state)).toEqual(["changePrices"]);
  const seen = redactWorkOrder(state, { rights: [] });
  expect(linesOf(seen)).toEqual([{ personId: "ana", hours: null }]);
  expect(JSON.stringify(seen)).not.toMatch(/commission|"pay"/);
  expect(linesOf(redactWorkOrder(state, FULL_ACTOR))).toEqual([{ personId: "ana", hours: 0.4 }]);
});
