import { readHeight } from "../places/readHeight";
import { nothingArranged } from "./arranged";
import { withKnownPlace } from "./knownOfPlace";

it.each([
  ["Level", "Concrete", true],
  ["level", "Asphalt", true],
  ["", "Gravel", false],
  ["Steep", "Concrete", false],
  ["Slight", "Concrete", null],
  ["Level", "", null],
  ["", "", null],
])("an address that is %s and of %s is level and hard: %s", (slope, surface, is) => {
  expect(withKnownPlace(nothingArranged(), { slope, surface, heightLimit: "" }).levelHardGround).toBe(is);
});

it.each([
  ["84 in", 84],
  ['84"', 84],
  ["7 ft", 84],
  ["7.5 feet", 90],
  ["7' 6\"", 90],
  ["7 ft 6 in", 90],
  ["low", null],
  ["about 7 ft", null],
  ["", null],
])("a height of %s is so many inches: %s", (typed, inches) => {
  expect(readHeight(typed)).toBe(inches);
  expect(withKnownPlace(nothingArranged(), { slope: "", surface: "", heightLimit: typed }).heightInches).toBe(inches);
});

it("an answer of the day stands above what is kept", () => {
  const asked = { ...nothingArranged(), levelHardGround: true, heightInches: 120 };
  expect(withKnownPlace(asked, { slope: "Steep", surface: "Grass", heightLimit: "7 ft" })).toEqual(asked);
  expect(withKnownPlace(asked, null)).toBe(asked);
});
