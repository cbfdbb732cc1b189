import { differingMarks } from "./differingMarks";

const marked = (typed: string, shown: string): string[] =>
  differingMarks(typed, shown).map(({ start, end }) => shown.slice(start, end));

it.each([
  ["360 555 0188", "(360) 555-0118", ["1"]],
  ["3605550188", "(360) 555-0198", ["9"]],
  ["555-0188", "(360) 555-0189", ["9"]],
  ["360 555 1011", "(360) 555-0111", ["01"]],
  ["360 555 018", "(360) 555-0118", ["1"]],
  ["LRK1294", "LRK1204", ["0"]],
  ["lrk 1294", "LRK1204", ["0"]],
  ["360 555 0188", "(360) 555-0188", []],
  ["360 555 0188", "(541) 555-0118", []],
  ["", "(360) 555-0118", []],
])("of %j, %j has %j", (typed, shown, signs) => {
  expect(marked(typed, shown)).toEqual(signs);
});
