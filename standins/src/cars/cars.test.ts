import { specSheet } from "@mechanon/core";
import { DateTime } from "luxon";
import { elsewhereOf, recallsOf, specsOf } from "./cars";

const CAR = { year: 2019, make: "Honda", model: "Accord", engine: "1.5 L 4 cyl" };
const TODAY = DateTime.fromISO("2026-11-23", { zone: "utc" });

it("says the same of the same car, something else of another, and that it is made up", () => {
  expect(specsOf(CAR)).toEqual(specsOf({ ...CAR }));
  expect(specsOf(CAR).values).not.toEqual(specsOf({ ...CAR, model: "Fit" }).values);
  expect(specSheet.parse(specsOf(CAR)).simulated).toBe(true);
});
it("has no oil for an electric car, and more of it for a large engine", () => {
  expect(specsOf({ ...CAR, engine: "Electric" }).values.oilCapacityQuarts).toBeUndefined();
  const quarts = (engine: string): number => Number(specsOf({ ...CAR, engine }).values.oilCapacityQuarts);
  expect(quarts("5.7 L V8")).toBeGreaterThan(quarts("1.5 L 4 cyl") + 3);
});
it("tells recalls by model and what is done by car; history with falling miles into the past", () => {
  expect(recallsOf("1HGCV1F34KA048217", CAR)).toEqual(recallsOf("1HGCV1F34KA048217", CAR));
  expect(JSON.stringify(elsewhereOf("1HGCV1F34KA048217", TODAY))).toMatch(/stand-in/);
  for (const vin of ["1HGCV1F34KA048217", "JF2SJAEC4EH430915", "3FA6P0H76FR193745", "1N4AL3AP1FC207731"]) {
    const byDate = [...elsewhereOf(vin, TODAY).entries]
      .sort((a, b) => (a.at < b.at ? -1 : 1))
      .map(({ miles }) => miles);
    expect(byDate).toEqual([...byDate].sort((a, b) => a - b));
  }
});
