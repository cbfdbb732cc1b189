import type { Column } from "./rows";

/** How wide the columns are beside each other. */
export const COLUMN_SHARES: Readonly<Record<Column, number>> = {
  amount: 1,
  what: 3.3,
  each: 1.25,
  off: 1.1,
  cost: 1.3,
  margin: 1.6,
  net: 1.5,
};
