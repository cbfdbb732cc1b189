import { useMemo } from "react";
import { LANGUAGES, foundSeen, shownQuoteOf, type FoundSeen, type Language, type ShownQuote } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useCarFacts } from "../jobLibrary/useCarFacts";
import type { Business } from "../session/useSession";

/** What photos are kept as is the server's to know; it says so as it freezes the copy. */
const NONE: ReadonlyMap<string, string> = new Map();

/**
 * The quote as it stands on this phone for the customer, what a signature on it is kept for, with what was found.
 * @param other - the language, where it is not the customer's own.
 */
export function useShownHere(
  view: WorkOrderView,
  business: Business,
  other?: Language,
): { shown: ShownQuote; found: FoundSeen[] } {
  const { state, carBefore, customer } = view;
  const { specs } = useCarFacts(view);
  const language = other ?? customer?.language ?? LANGUAGES[0];
  const { inspection: points, papers } = business.settings;
  return useMemo(() => {
    const by = { points, before: carBefore?.measures ?? [], specs };
    return {
      shown: shownQuoteOf(state, { ...by, language, checksums: NONE, papers: papers }),
      found: foundSeen(state, by),
    };
  }, [state, points, carBefore, specs, language, papers]);
}
