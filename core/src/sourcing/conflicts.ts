/** What a person reads about parts that no longer fit the quote when they were ordered or came. */
export const SOURCING_CONFLICTS = {
  "part/line-gone": (detail: string) =>
    `${detail} part arrived for a line that is no longer on the quote. Return it or put the line back.`,
  "part/ordered-twice": (detail: string) =>
    `More of ${detail} was ordered than the quote has. Cancel or return what is too much.`,
} as const;
export type SourcingConflict = keyof typeof SOURCING_CONFLICTS;
