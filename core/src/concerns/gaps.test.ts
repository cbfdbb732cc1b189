import fc from "fast-check";
import { fillGaps, gapsOf } from "./gaps";

it.each<[string, Record<string, string>, string]>([
  ["Hums {when}", { when: "above 40" }, "Hums above 40"],
  ["Hums {when}", {}, "Hums"],
  ["Hums {when}, {where}", { where: "rear left" }, "Hums, rear left"],
  ["Hums {when}, {where}", { when: "above 40" }, "Hums above 40"],
  ["Hums {when}, {where}", { when: " ", where: "" }, "Hums"],
  ["{where}: leaks {what}.", { where: "Under the hood" }, "Under the hood: leaks."],
  ["No gap", { when: "x" }, "No gap"],
  ["A { is no gap", {}, "A { is no gap"],
])("%j with %j is %j", (text, filled, words) => {
  expect(fillGaps(text, filled)).toBe(words);
});
it("names each gap once, in order", () => {
  expect(gapsOf("{when} and {where} and {when}")).toEqual(["when", "where"]);
  expect(gapsOf("none")).toEqual([]);
});
it("leaves no gap open, whatever is typed", () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 60 }), (text) => {
      expect(gapsOf(fillGaps(text.replace(/[{}]/g, "") + " {when}", {}))).toEqual([]);
    }),
  );
});
