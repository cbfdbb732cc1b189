import type { ReactNode } from "react";

/** A section of a sheet: one line while it is folded. */
export interface SheetSection {
  /** By which it is found on its sheet: `money`. */
  name: string;
  title: string;
  /** The line that still says what matters when it is folded. */
  line: string;
  /** Something in it is to be acted on: it stands open until somebody folds it. */
  standsOpen?: boolean;
  body: () => ReactNode;
}
