import { holds, type CarFacts } from "../laborGuide/carFacts";
import type { InspectionPoint } from "./point";

/** Whether a point is for a car; what is not known of the car leaves none out. */
export function appliesTo({ onlyFor }: Pick<InspectionPoint, "onlyFor">, facts: CarFacts): boolean {
  const { power, rearBrakes } = onlyFor;
  if (power !== null && holds({ fact: "power", is: power }, facts) === false) return false;
  const kept = facts.specs.rearBrakes?.value.toLowerCase();
  return rearBrakes === null || kept === undefined || kept === rearBrakes;
}
