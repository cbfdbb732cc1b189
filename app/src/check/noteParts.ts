const BETWEEN = "; ";

/** The ready notes that stand in a note. */
export function notesIn(note: string, ready: readonly string[]): string[] {
  const parts = note.split(BETWEEN);
  return ready.filter((each) => parts.includes(each));
}

/** A note with one more part. @example noteWith("Low", "Dark") //=> "Low; Dark" */
export function noteWith(note: string, part: string): string {
  return [...note.split(BETWEEN).filter((each) => each.trim() !== ""), part].join(BETWEEN);
}

/** A note without one of its parts; what was typed beside it stays. */
export function noteWithout(note: string, part: string): string {
  return note
    .split(BETWEEN)
    .filter((each) => each !== part)
    .join(BETWEEN);
}
