import type { VehicleGuess } from "@mechanon/contract";
import { splitTrims, type LikelyAnswers, type Variants } from "@mechanon/core/vin";
import type { OpenFact } from "./AskedOnce";

/** What is not known of a car, with the likely answers; several trims under one name are told apart. */
export function openFacts(
  car: Pick<VehicleGuess, OpenFact>,
  variants: Variants | undefined,
  likely: LikelyAnswers | undefined,
): Partial<Record<OpenFact, string[]>> {
  const trims = car.trim === null ? (variants?.trims ?? []).flatMap(splitTrims) : splitTrims(car.trim);
  return {
    ...(trims.length > 1 || car.trim === null ? { trim: trims } : {}),
    ...(car.engine === null ? { engine: variants?.engines ?? [] } : {}),
    ...(car.drive === null ? { drive: likely?.drives ?? [] } : {}),
    ...(car.transmission === null ? { transmission: likely?.transmissions ?? [] } : {}),
  };
}
