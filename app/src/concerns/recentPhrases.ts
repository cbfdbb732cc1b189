import { create } from "zustand";
import { persist } from "zustand/middleware";

interface Recent {
  /** Phrase ids, the last picked first. */
  recent: string[];
  note: (id: string) => void;
}

const MOST = 40;

/** The phrases picked on this device, last first. */
export const useRecentPhrases = create<Recent>()(
  persist(
    (set) => ({
      recent: [],
      note: (id) => set(({ recent }) => ({ recent: [id, ...recent.filter((other) => other !== id)].slice(0, MOST) })),
    }),
    { name: "mechanon-recent-phrases", version: 1 },
  ),
);

/** Those picked last first, the rest in the order of the library. */
export function inRecentOrder<T extends { id: string }>(phrases: readonly T[], recent: readonly string[]): T[] {
  const place = ({ id }: T): number => (recent.includes(id) ? recent.indexOf(id) : recent.length);
  return [...phrases].sort((a, b) => place(a) - place(b));
}
