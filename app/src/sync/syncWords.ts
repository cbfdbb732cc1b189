import { countOf } from "@mechanon/core";

/** The one line that says whether work is safe. */
export function syncWords(waiting: number, online: boolean): string {
  if (waiting === 0) return online ? "Saved" : "No connection; everything so far is saved";
  return online
    ? `Saving ${countOf(waiting, "change")}`
    : `No connection; ${countOf(waiting, "change")} kept here, sent when there is signal`;
}
