import type { Column } from "./rows";

/** How wide the columns are beside each other. */
export const COLUMN_SHARES: Readonly<Record<Column, number>> = {
  amount: 1.1,
  what: 3.8,
  each: 1.2,
  off: 1.2,
  cost: 1.1,
  margin: 1.4,
  net: 1.4,
};
