import { nicknamesOf } from "../search/nicknames";
import { mayBeHeardAs } from "./soundKeys";

it.each([
  ["kowalchik", "kowalczyk"],
  ["kovalchik", "kowalczyk"],
  ["thibodo", "thibodeaux"],
  ["boodro", "boudreaux"],
  ["shawn", "sean"],
  ["nwen", "nguyen"],
  ["mcgilivray", "macgillivray"],
  ["macgilvray", "mcgillivray"],
  ["kathryn", "katherine"],
  ["smith", "schmidt"],
  ["fisher", "fischer"],
  ["shrader", "schroeder"],
  ["filips", "phillips"],
  ["steven", "stephen"],
  ["jeffry", "geoffrey"],
  ["maier", "meyer"],
  ["novak", "nowak"],
  ["yavorsky", "jaworski"],
  ["ernandez", "hernandez"],
  ["johanson", "johansson"],
  ["shivon", "siobhan"],
  ["pshibilski", "przybylski"],
  ["shchepanski", "szczepanski"],
  ["papadopulos", "papadopoulos"],
  ["kristos", "christos"],
  ["rite", "wright"],
  ["gramm", "graham"],
  ["dimitry", "dmitri"],
  ["okonner", "oconnor"],
  ["fam", "pham"],
])("%s may be %s", (heard, written) => {
  expect(mayBeHeardAs(heard, written)).toBe(true);
});

it.each([
  ["maren", "noor"],
  ["lindqvist", "landmark"],
  ["bram", "grant"],
  ["ab", "abe"],
  ["oyelaran", "olsen"],
  ["0111", "0112"],
])("%s is not %s", (heard, written) => {
  expect(mayBeHeardAs(heard, written)).toBe(false);
});

it.each([
  ["bill", "william"],
  ["william", "billy"],
  ["bill", "will"],
  ["kathryn", "katie"],
  ["peggy", "margaret"],
  ["shawn", "sean"],
])("%s is called %s", (name, called) => {
  expect(nicknamesOf(name)).toContain(called);
});

it("does not make two people one for being called alike", () => {
  expect(nicknamesOf("albert")).not.toContain("robert");
  expect(nicknamesOf("tetherstone")).toEqual([]);
});
