import { showVehicle } from "@mechanon/core";
import type { VehicleGuess } from "@mechanon/contract";
import type { CarSearch } from "./carSearch";

/**
 * What was said of the car before it was looked up, where the look-up says otherwise: a digit may be wrong, or it is
 * another car.
 *
 * @returns null where nothing was said, or it agrees.
 */
export function contradiction(
  { pickedYear, pickedMake, year, make, model }: CarSearch,
  guess: Pick<VehicleGuess, "year" | "make" | "model">,
): string | null {
  const typedYear = /^\d{4}$/.test(year.trim()) ? Number(year) : null;
  const said = {
    year: pickedYear ?? typedYear,
    make: pickedMake ?? (make.trim() || null),
    model: model.trim() || null,
  };
  const differs =
    (said.year !== null && guess.year !== null && said.year !== guess.year) ||
    isOther(said.make, guess.make) ||
    isOther(said.model, guess.model);
  return differs
    ? `${showVehicle(said)} was said before; this is a ${showVehicle(guess)}. Look again at what was read.`
    : null;
}

/** Neither holds the other: "Silverado" is no contradiction of "Silverado 1500". */
function isOther(said: string | null, found: string | null): boolean {
  if (said === null || found === null) return false;
  const [a, b] = [said.toLowerCase(), found.toLowerCase()];
  return !a.includes(b) && !b.includes(a);
}
