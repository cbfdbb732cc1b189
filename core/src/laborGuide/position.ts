import type { OperationPer } from "./guide";

/** A wheel, or the door beside it, seen by the driver. */
export const CORNERS = ["leftFront", "rightFront", "leftRear", "rightRear"] as const;
export const SIDES = ["left", "right"] as const;
/** Where on a car something is done. */
export const POSITIONS = [...CORNERS, ...SIDES] as const;
export type Position = (typeof POSITIONS)[number];

const POSITION_WORDS: Record<Position, string> = {
  leftFront: "left front",
  rightFront: "right front",
  leftRear: "left rear",
  rightRear: "right rear",
  left: "left",
  right: "right",
};
const TOGETHER: readonly (readonly [readonly Position[], string])[] = [
  [CORNERS, "all four"],
  [["leftFront", "rightFront"], "both fronts"],
  [["leftRear", "rightRear"], "both rears"],
  [SIDES, "both sides"],
];

/** What can be chosen from for an operation or job; empty: there is nothing to choose. */
export function positionsFor(per: OperationPer): readonly Position[] {
  switch (per) {
    case "corner":
    case "wheel":
    case "door":
      return CORNERS;
    case "side":
      return SIDES;
    default:
      return [];
  }
}

/** Choices worth a tap of their own: each position, and those usually done together. */
export function positionChoices(positions: readonly Position[]): Position[][] {
  const together = TOGETHER.map(([all]) => [...all]).filter((all) =>
    all.every((position) => positions.includes(position)),
  );
  return [...together, ...positions.map((position) => [position])];
}

/** Places as a mechanic says them. @example showPositions(["leftFront", "rightFront"]) //=> "both fronts" */
export function showPositions(positions: readonly Position[]): string {
  const named = TOGETHER.find(
    ([all]) => all.length === positions.length && all.every((position) => positions.includes(position)),
  );
  return named?.[1] ?? POSITIONS.filter((position) => positions.includes(position)).map((position) => POSITION_WORDS[position]).join(", "); // prettier-ignore
}

/** The axle a wheel is on. */
export function axleOf(position: Position): "front" | "rear" {
  return position === "leftRear" || position === "rightRear" ? "rear" : "front";
}
