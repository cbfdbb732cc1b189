/** What is put on paper of a work order: what its customer is asked, and what its mechanic takes along. */
export const PAPERS = ["quote", "mechanicsSheet"] as const;
export type Paper = (typeof PAPERS)[number];
