import type { VisitState } from "./state";

/**
 * Whether a visit was called off by its customer with less notice than the owner asks for, or nobody was there: a fee is
 * due then, where its terms were accepted.
 */
export function isLateCallOff(
  { calledOff, cancelledAt, startsAt }: Pick<VisitState, "calledOff" | "cancelledAt" | "startsAt">,
  noticeHours: number,
): boolean {
  if (calledOff === null || cancelledAt === null) return false;
  if (calledOff.why === "nobodyThere") return true;
  return calledOff.why === "customer" && Date.parse(startsAt) - Date.parse(cancelledAt) < noticeHours * 3_600_000;
}
