/** Outlines a walk-round is marked on. */
export const BODY_TYPES = ["sedan", "hatchback", "wagon", "suv", "van", "pickup", "motorcycle"] as const;
export type BodyType = (typeof BODY_TYPES)[number];
export const BODY_TYPE_TITLES: Readonly<Record<BodyType, string>> = {
  sedan: "Sedan or coupe",
  hatchback: "Hatchback",
  wagon: "Wagon",
  suv: "SUV",
  van: "Van",
  pickup: "Pickup",
  motorcycle: "Motorcycle",
};

const SAID: readonly (readonly [RegExp, BodyType])[] = [
  [/motorcycle|scooter/i, "motorcycle"],
  [/pickup|crew cab|truck/i, "pickup"],
  [/cargo|minivan|\bvan\b/i, "van"],
  [/suv|utility|crossover/i, "suv"],
  [/wagon|estate/i, "wagon"],
  [/hatch|liftback/i, "hatchback"],
];

/**
 * The outline for a car, by the words its body is told in; a sedan where they tell nothing.
 * @example bodyTypeOf("Sport Utility Vehicle (SUV)") //=> "suv"
 */
export function bodyTypeOf(body: string | null): BodyType {
  return SAID.find(([words]) => body !== null && words.test(body))?.[1] ?? "sedan";
}
