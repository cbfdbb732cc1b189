/** What a place or a day must have for a job. */
export const JOB_CONDITIONS = ["levelHardGround", "roof", "power", "dry", "daylight"] as const;
export type JobCondition = (typeof JOB_CONDITIONS)[number];
