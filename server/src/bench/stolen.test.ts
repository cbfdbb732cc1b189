import { readTicks, stolenPercent } from "./stolen";

it("reads what neighbors took of the processors", () => {
  const before = readTicks("cpu  100 0 50 800 10 0 0 40 0 0\ncpu0 50 0 25 400 5 0 0 20 0 0\n");
  const after = readTicks("cpu  150 0 60 810 10 0 0 70 0 0\n");
  expect(before).toEqual({ all: 1000, stolen: 40 });
  expect(stolenPercent(before, after)).toBe(30);
  expect(stolenPercent(before, before)).toBe(0);
});
