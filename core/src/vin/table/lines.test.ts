import fc from "fast-check";
import { LineTable } from "./lines";

const table = (text: string): LineTable => new LineTable(new TextEncoder().encode(text));

it.each([
  ["", []],
  ["one", ["one"]],
  ["one\ntwo", ["one", "two"]],
  ["\n", ["", ""]],
  ["Škoda\n日産", ["Škoda", "日産"]],
])("reads %p", (text, lines) => {
  const read = table(text);
  expect(Array.from({ length: read.length }, (_, line) => read.get(line))).toEqual(lines);
  expect([read.get(read.length), read.get(-1)]).toEqual([undefined, undefined]);
});

it("gives back whatever lines were written", () => {
  const line = fc.string().map((text) => text.replace(/[\n\uD800-\uDFFF]/g, ""));
  fc.assert(
    fc.property(fc.array(line, { minLength: 2 }), (lines) => {
      const read = table(lines.join("\n"));
      expect(Array.from({ length: read.length }, (_, index) => read.get(index))).toEqual(lines);
    }),
  );
});
