/** What a person reads about a grade that was given twice; `detail` names the point and both grades. */
export const INSPECTION_CONFLICTS = {
  "point/graded-twice": (detail: string) =>
    `Two people graded the same point: ${detail}. The worse grade stands; look at it once more.`,
} as const;
export type InspectionConflict = keyof typeof INSPECTION_CONFLICTS;
