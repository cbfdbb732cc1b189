import type { Arranged } from "./arranged";

const HARD = new Set(["concrete", "asphalt"]);
const SOFT = new Set(["gravel", "grass", "dirt"]);

/** What is kept of an address that a visit's answers would say, too. */
export interface GroundThere {
  slope: string;
  surface: string;
}

/** What was agreed, with what is kept of the address where nobody was asked: an answer of the day stands above it. */
export function withKnownPlace(agreed: Arranged, ground: GroundThere | null): Arranged {
  if (ground === null || agreed.levelHardGround !== null) return agreed;
  const [slope, surface] = [ground.slope.toLowerCase(), ground.surface.toLowerCase()];
  if (slope === "steep" || SOFT.has(surface)) return { ...agreed, levelHardGround: false };
  return slope === "level" && HARD.has(surface) ? { ...agreed, levelHardGround: true } : agreed;
}
