import { showMeasure } from "./showMeasure";

it.each([
  [3, "/32 in", "3/32 in"],
  [2.5, "mm", "2.5 mm"],
  [0, "psi", "0 psi"],
  [4, "", "4"],
])("%p and %p read %p", (value, unit, words) => {
  expect(showMeasure(value, unit)).toBe(words);
});
