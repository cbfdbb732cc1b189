/** What a person reads about work that no longer fit when it was told; `detail` names the jobs. */
export const WORK_CONFLICTS = {
  "job/not-approved": (detail: string) =>
    `${detail} was finished without a standing yes. Ask the customer to confirm it.`,
} as const;
export type WorkConflict = keyof typeof WORK_CONFLICTS;
