import type { Wait } from "@mechanon/core";

/** How many pages of each kind of waiting are shown beyond the first. */
export type Pages = Partial<Record<Wait, number>>;

/** Under which everything open is asked for and kept. */
export const openWorkKey = (pages: Pages = {}): readonly unknown[] => ["openWork", pages];
