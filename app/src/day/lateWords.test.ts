import { lateWords } from "./lateWords";

it.each([
  [1, "1 min late"],
  [60, "1 h late"],
  [75, "1 h 15 min late"],
])("%p minutes read %p", (minutes, words) => {
  expect(lateWords(minutes)).toBe(words);
});
