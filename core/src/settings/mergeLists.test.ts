import { idOf } from "./itemChanges";
import { mergeLists } from "./mergeLists";
import { upgradeSettings } from "./businessSettings";
import { SETTINGS } from "../testing/sampleWorkOrder";

const item = (id: string, text = id): { id: string; text: string } => ({ id, text });
const base = [item("a"), item("b"), item("c")];

it.each([
  ["what others added stays", base, [...base, item("d")], ["a", "b", "c", "d"]],
  ["what both added stays", [...base, item("e")], [...base, item("d")], ["a", "b", "c", "d", "e"]],
  ["what others took out goes", base, [item("a"), item("c")], ["a", "c"]],
  ["what one took out oneself goes", [item("a"), item("c")], base, ["a", "c"]],
  [
    "one's own change wins",
    [item("a"), item("b", "mine"), item("c")],
    [item("a"), item("b", "theirs"), item("c")],
    ["a", "mine", "c"],
  ],
  [
    "others' change of what one left alone stands",
    base,
    [item("a"), item("b", "theirs"), item("c")],
    ["a", "theirs", "c"],
  ],
  [
    "what one changed and others took out stays",
    [item("a", "mine"), item("b"), item("c")],
    [item("b"), item("c")],
    ["b", "c", "mine"],
  ],
  [
    "what others changed and one took out stays",
    [item("b"), item("c")],
    [item("a", "theirs"), item("b"), item("c")],
    ["theirs", "b", "c"],
  ],
])("%s", (_name, mine, theirs, texts) => {
  expect(mergeLists(mine, base, theirs, idOf).map(({ text }) => text)).toEqual(texts);
});

it("settings of before lists had versions are at their first", () => {
  const { versions: _, receiptLinkMonths: __, ...before } = SETTINGS;
  const versions = { concerns: 1, intervals: 1, newcomers: 1, labor: 1, pay: 1, crew: 1, visits: 1, messages: 1, requests: 1, inspection: 1, pricing: 1, stock: 1, papers: 1 }; // prettier-ignore
  expect(upgradeSettings(before)).toEqual({ ...before, versions, receiptLinkMonths: 18 });
  expect(upgradeSettings(SETTINGS)).toEqual(SETTINGS);
});
