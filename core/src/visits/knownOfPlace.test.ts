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
  expect(withKnownPlace(nothingArranged(), { slope, surface }).levelHardGround).toBe(is);
});

it("an answer of the day stands above what is kept", () => {
  const asked = { ...nothingArranged(), levelHardGround: true };
  expect(withKnownPlace(asked, { slope: "Steep", surface: "Grass" })).toBe(asked);
  expect(withKnownPlace(asked, null)).toBe(asked);
});
