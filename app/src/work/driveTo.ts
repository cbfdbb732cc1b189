import { driveMinutes, visitStanding } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";

const USUAL_MINUTES = 15;

/** Minutes told to the customer: from the last place this work order knows of, or the shop; the usual where unknown. */
export function driveMinutesTo(view: WorkOrderView, visitId: string, business: Business | undefined): number {
  const visit = view.visits.find(({ id }) => id === visitId);
  if (!visit || !business) return USUAL_MINUTES;
  const before = view.visits.filter((other) => other.id !== visitId && visitStanding(other) === "onSite").at(-1);
  return driveMinutes(before?.place ?? business.settings.home, visit.place) ?? USUAL_MINUTES;
}
