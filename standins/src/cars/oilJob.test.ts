import { carFactsOf, fitJob, specLines, type FittedJob } from "@mechanon/core";
import { CUSTOMERS, LIBRARY } from "@mechanon/demo";
import { specsOf } from "./cars";

/** The oil job on a demo car, as the stand-in for specs describes that car. */
function oilOn(key: string): FittedJob {
  const car = CUSTOMERS.flatMap(({ cars }) => cars).find((each) => each.key === key);
  const job = LIBRARY.find(({ id }) => id === "oil-service");
  if (!car || !job) throw new Error(`no ${key}`);
  const facts = carFactsOf({ ...car, drive: null }, specLines(specsOf(car), []), 2026);
  return fitJob(job, { facts, positions: [], variantId: null }, undefined);
}

it("gives three amounts and two grades of oil on three demo cars, each with its source", () => {
  const oils = ["jasper-f150", "maren-accord", "teodor-outback"].map((key) => oilOn(key).lines[1]);
  const amounts = oils.map((oil) => (oil?.kind === "part" ? oil.quantity : null));
  const grades = oils.map((oil) => oil?.description);
  expect(new Set(amounts).size).toBe(3);
  expect(new Set(grades).size).toBeGreaterThanOrEqual(2);
  for (const oil of oils)
    expect(oil?.sources).toEqual([
      { of: "quantity", from: "specSheet" },
      { of: "grade", from: "specSheet" },
    ]);
});
