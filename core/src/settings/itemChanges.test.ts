import { z } from "zod";
import { changesOfList, idOf, itemChanges, nameOf, withChanges } from "./itemChanges";

const item = (id: string, text = id): { id: string; text: string } => ({ id, text });
const base = [item("a"), item("b"), item("c")];
const mine = [item("c"), item("a", "mine"), item("d")];
const changes = [
  { from: item("b"), to: null },
  { from: item("a"), to: item("a", "mine") },
  { from: null, to: item("d") },
];

it("tells what was taken out, changed and added; another order is no change", () => {
  expect(changesOfList(base, mine, idOf)).toEqual(changes);
  expect(changesOfList(base, base.toReversed(), idOf)).toEqual([]);
  expect(changesOfList([{ name: "when" }], [], nameOf)).toEqual([{ from: { name: "when" }, to: null }]);
});

it("makes the changes where the items stand, and again without harm", () => {
  const once = withChanges(base, changes, idOf, false);
  expect(once).toEqual([item("a", "mine"), item("c"), item("d")]);
  expect(withChanges(once ?? [], changes, idOf, false)).toEqual(once);
});

it.each([
  ["what others changed elsewhere stays", [...base.slice(0, 2), item("c", "theirs")], ["mine", "theirs", "d"]],
  ["what others added stays", [...base, item("e")], ["mine", "c", "e", "d"]],
  ["one item that others changed is in the way", [item("a", "theirs"), item("b"), item("c")], null],
  ["one that others took out is", [item("b"), item("c")], null],
  ["one that others changed and one took out is", [item("a"), item("b", "theirs"), item("c")], null],
  ["one that others added under the same id is", [...base, item("d", "theirs")], null],
])("from an older list: %s", (_name, now, texts) => {
  expect(withChanges(now, changes, idOf, false)?.map(({ text }) => text) ?? null).toEqual(texts);
});

it("does not compare where nobody else changed the list", () => {
  const kept = [item("a", "as an older version kept it"), item("b"), item("c")];
  expect(withChanges(kept, changes, idOf, true)).toEqual([item("a", "mine"), item("c"), item("d")]);
});

it.each([
  ["one item each", changes, true],
  ["nothing", [], true],
  ["an item twice", [...changes, { from: null, to: item("d") }], false],
  ["from nothing to nothing", [{ from: null, to: null }], false],
  ["from one item to another", [{ from: item("a"), to: item("b") }], false],
  ["more than the list may hold, twice", "abcdefg".split("").map((id) => ({ from: null, to: item(id) })), false],
])("changes that travel: %s", (_name, sent, isFine) => {
  const schema = itemChanges(z.strictObject({ id: z.string(), text: z.string() }), idOf, 3);
  expect(schema.safeParse(sent).success).toBe(isFine);
});
