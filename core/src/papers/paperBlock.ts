/** A piece of a paper, from the top down; the page and the PDF are drawn from the same. */
export type PaperBlock =
  | { is: "title" | "heading" | "strong" | "words" | "small"; text: string }
  /** Something with what stands at its right end. */
  | { is: "row"; left: string; right: string; tone?: "strong" | "muted" }
  | { is: "rule" }
  /** Room to write by hand, so many lines of it. */
  | { is: "room"; label: string; lines: number };
