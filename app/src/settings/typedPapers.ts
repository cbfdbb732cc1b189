import { ownersWords, type BusinessSettings, type OwnersWords } from "@mechanon/core";
import { z } from "zod";
import { begunFrom } from "./begunFrom";

const inEach = z.object({ en: z.string(), es: z.string() });

/** What is typed about papers. */
export const typedPapers = z.object({ base: begunFrom, quote: inEach, mechanicsSheet: z.string(), terms: inEach });
export type TypedPapers = z.input<typeof typedPapers>;

/** What was typed about papers, read. */
export const readPapers = typedPapers.extend(ownersWords.shape);

/** What was read, as it is set. */
export function papersOf({ quote, mechanicsSheet, terms }: z.output<typeof readPapers>): OwnersWords {
  return { quote, mechanicsSheet, terms };
}

/** What stands about papers, as it would be typed. */
export function typedPapersOf(base: BusinessSettings): TypedPapers {
  const { quote, mechanicsSheet, terms } = base.papers;
  return { base, quote, mechanicsSheet, terms };
}
