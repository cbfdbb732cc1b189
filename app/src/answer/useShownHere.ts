import { useMemo } from "react";
import { foundSeen, shownQuoteOf, type FoundSeen, type ShownQuote } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useCarFacts } from "../jobLibrary/useCarFacts";
import type { Business } from "../session/useSession";

/** What photos are kept as is the server's to know; it says so as it freezes the copy. */
const NONE: ReadonlyMap<string, string> = new Map();

/** The quote as it stands on this phone for the customer, what a signature on it is kept for, with what was found. */
export function useShownHere(view: WorkOrderView, business: Business): { shown: ShownQuote; found: FoundSeen[] } {
  const { state, carBefore, customer } = view;
  const { specs } = useCarFacts(view);
  const language = customer?.language ?? "en";
  const points = business.settings.inspection;
  return useMemo(() => {
    const by = { points, before: carBefore?.measures ?? [], specs };
    return {
      shown: shownQuoteOf(state, { ...by, language, checksums: NONE, terms: "" }),
      found: foundSeen(state, by),
    };
  }, [state, points, carBefore, specs, language]);
}
