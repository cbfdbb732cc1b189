import { say } from "../customerWords/say";
import type { Concern, ConcernSlice } from "../concerns/slice";
import { openConcerns } from "../concerns/standing";
import type { InspectionPoint } from "../inspection/point";
import { pointById } from "../inspection/sheetsAtHand";
import type { InspectionSlice } from "../inspection/slice";
import { standingUnsafe } from "../inspection/standingUnsafe";
import type { Language } from "../languages/language";
import { showDateIn } from "../languages/momentIn";
import type { QuoteSlice } from "../quoting/slice";

/** What a customer's paper says beside the work and its price. */
export interface SaidOnPaper {
  /** What is not safe still, and that they were told. */
  unsafe: string[];
  /** What became of why they called, what is open included. */
  concerns: string[];
}

/**
 * What stands on a customer's paper of what is unsafe and of why they called, in their language.
 *
 * @param zone - the business's time zone.
 */
export function saidOnPaper(
  state: InspectionSlice & QuoteSlice & ConcernSlice,
  points: readonly InspectionPoint[],
  language: Language,
  zone: string,
): SaidOnPaper {
  const open = new Set(openConcerns(state.concerns, state.jobs).map(({ id }) => id));
  return {
    unsafe: standingUnsafe(state).map(({ finding: { pointId }, isDeclined }) => {
      const point = pointById(pointId, state, points);
      const title = (language === "es" ? point?.titleEs : "") || (point?.title ?? pointId);
      const told = state.unsafeTold.filter(({ pointIds }) => pointIds.includes(pointId)).at(-1);
      if (!told) return say(language, "paper.unsafe", { title });
      const values = { title, name: told.name, day: showDateIn(language, told.at, zone) };
      return say(language, isDeclined ? "paper.unsafeDeclined" : "paper.unsafeTold", values);
    }),
    concerns: state.concerns.flatMap((concern) => concernSaid(concern, open.has(concern.id), language) ?? []),
  };
}

/** @returns null for a wish the work itself answers. */
function concernSaid({ text, answer }: Concern, isOpen: boolean, language: Language): string | null {
  if (!answer) return isOpen ? say(language, "paper.concernOpen", { text }) : null;
  const { outcome, cause, correction, reason } = answer;
  if (outcome === "noFault") return say(language, "paper.concernNoFault", { text, reason });
  if (outcome === "setAside") return say(language, "paper.concernSetAside", { text, reason });
  return correction === ""
    ? say(language, "paper.concernCause", { text, cause })
    : say(language, "paper.concernCorrected", { text, cause, correction });
}
