import { isAfterHours, visitStanding } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import type { Fitter } from "./jobChoice";
import { useCarFacts } from "./useCarFacts";

/** What jobs are fitted and priced with on a work order: its car, and when it is visited last. */
export function useFitter(view: WorkOrderView, { guide, timeZone }: Business): Fitter {
  const facts = useCarFacts(view);
  const visit = view.visits.filter((each) => visitStanding(each) !== "cancelled").at(-1);
  const { rules } = view.state;
  return {
    quote: view.state,
    facts,
    guide,
    // Without a visit nobody knows when; it is fitted anew when one is booked.
    isAfterHours: visit !== undefined && isAfterHours(visit.startsAt, timeZone, rules.workHours),
  };
}
