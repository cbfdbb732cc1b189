import { readHeight } from "../places/readHeight";
import type { Arranged } from "./arranged";

const HARD = new Set(["concrete", "asphalt"]);
const SOFT = new Set(["gravel", "grass", "dirt"]);

/** What is kept of an address that a visit's answers would say, too. */
export interface GroundThere {
  slope: string;
  surface: string;
  heightLimit: string;
}

/** What was agreed, with what is kept of the address where nobody was asked: an answer of the day stands above it. */
export function withKnownPlace(agreed: Arranged, ground: GroundThere | null): Arranged {
  if (ground === null) return agreed;
  return {
    ...agreed,
    levelHardGround: agreed.levelHardGround ?? isLevelAndHard(ground),
    heightInches: agreed.heightInches ?? readHeight(ground.heightLimit),
  };
}

/** Null: what is kept does not say. */
function isLevelAndHard(ground: GroundThere): boolean | null {
  const [slope, surface] = [ground.slope.toLowerCase(), ground.surface.toLowerCase()];
  if (slope === "steep" || SOFT.has(surface)) return false;
  return slope === "level" && HARD.has(surface) ? true : null;
}
