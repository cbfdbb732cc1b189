import type { JOB_CONDITIONS, JOB_RIGHTS, OperationPer } from "@mechanon/core";

export const CONDITION_TITLES: Record<(typeof JOB_CONDITIONS)[number], string> = {
  levelHardGround: "Level, hard ground",
  roof: "A roof",
  power: "Power",
  dry: "Dry weather",
  daylight: "Daylight",
};
export const JOB_RIGHT_TITLES: Record<(typeof JOB_RIGHTS)[number], string> = {
  highVoltage: "High voltage",
  refrigerant: "Refrigerant",
};

/** Where a job is done. */
export const PER_TITLES: Record<OperationPer, string> = {
  job: "The car as a whole",
  "axle:front": "The front axle",
  "axle:rear": "The rear axle",
  corner: "Each corner",
  wheel: "Each wheel",
  side: "Each side",
  door: "Each door",
  cylinder: "Each cylinder",
};
