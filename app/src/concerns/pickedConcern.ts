/** A concern being written down. */
export interface PickedConcern {
  text: string;
  kind: "fault" | "wish";
  /** The phrase of the library it was picked from; null for words of one's own. */
  phraseId: string | null;
}
