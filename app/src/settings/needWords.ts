import type { JOB_CONDITIONS, JOB_RIGHTS } from "@mechanon/core";

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
