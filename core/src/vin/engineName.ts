import type { VinEngine } from "./engine";

/**
 * An engine in a few words.
 *
 * @returns null where nothing is known.
 * @example
 * engineName({ displacementL: 3.5, cylinders: 6, configuration: "V-Shaped", fuel: "Gasoline" }) //=> "3.5 L V6"
 */
export function engineName({ displacementL, cylinders, configuration, fuel }: VinEngine): string | null {
  const shape = cylinders === null ? null : configuration === "V-Shaped" ? `V${cylinders}` : `${cylinders} cyl`;
  const parts = [
    displacementL === null ? null : `${displacementL.toFixed(1)} L`,
    shape,
    fuel === "Gasoline" ? null : fuel,
  ].filter((part) => part !== null);
  return parts.length === 0 ? null : parts.join(" ");
}
