/** What a person reads about an answer that no longer fit when it arrived; `detail` names the jobs. */
export const APPROVAL_CONFLICTS = {
  "approval/price-changed": (detail: string) =>
    `The price of ${detail} changed while the customer was signing. The signature is kept; ask again for the new price.`,
  "approval/job-gone": (detail: string) =>
    `${detail} was taken off the quote while the customer said yes. The answer is kept; put the job back or tell them.`,
  "approval/later-stands": (detail: string) =>
    `Another answer to ${detail} was given after this one, on another phone, and stands. Both are kept; look which one is meant.`,
} as const;
export type ApprovalConflict = keyof typeof APPROVAL_CONFLICTS;
