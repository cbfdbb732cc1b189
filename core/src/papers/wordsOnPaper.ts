import type { ConcernSlice } from "../concerns/slice";
import type { Language } from "../languages/language";
import type { Paper } from "./paper";
import { saidIn, type PaperSettings } from "./paperSettings";
import type { PaperSlice } from "./slice";

/** What a paper of a work order opens with: as it was put for this once, else the owner's words; empty: nothing. */
export function wordsOnPaper(
  { paperWordings = [] }: PaperSlice,
  paper: Paper,
  settings: PaperSettings,
  language: Language,
): string {
  const own = paperWordings.find((each) => each.paper === paper && each.concernId === null);
  if (own) return own.text;
  return paper === "quote" ? saidIn(settings.quote, language) : settings.mechanicsSheet;
}

/** Why they called, in their words, or as that was put for one paper; what was emptied there does not stand on it. */
export function concernsOnPaper(
  { concerns, paperWordings = [] }: ConcernSlice & PaperSlice,
  paper: Paper,
): { concernId: string; text: string }[] {
  return concerns.flatMap(({ id: concernId, text }) => {
    const own = paperWordings.find((each) => each.paper === paper && each.concernId === concernId);
    const said = own?.text ?? text;
    return said === "" ? [] : [{ concernId, text: said }];
  });
}
