import type { Column } from "./rows";

/** How wide the columns are beside each other. */
export const COLUMN_SHARES: Readonly<Record<Column, number>> = {
  amount: 1,
  what: 4,
  each: 1.2,
  off: 0.9,
  cost: 1.2,
  margin: 1.4,
  net: 1.45,
};
