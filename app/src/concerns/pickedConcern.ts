/** A concern being written down. */
export interface PickedConcern {
  text: string;
  kind: "fault" | "wish";
  /** The phrase of the library it was picked from; null for words of one's own. */
  phraseId: string | null;
}

/** What was said of concerns: those picked or added, and words that still stand in the field. */
export interface Said {
  picked: PickedConcern[];
  typed: string;
}

export const NOTHING_SAID: Said = { picked: [], typed: "" };

/** All that was said: the words in the field are a concern too, whether or not they were added. */
export function saidConcerns({ picked, typed }: Said): PickedConcern[] {
  const words = typed.trim();
  const all = words === "" ? picked : [...picked, { text: words, kind: "fault" as const, phraseId: null }];
  return all.filter(({ text }) => text.trim() !== "");
}
