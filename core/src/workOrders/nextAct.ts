import { closedWithoutSale } from "../approvals/noSale";
import { approvedJobs, openJobs } from "../approvals/standing";
import { balanceOf } from "../payments/balance";
import { quoteTotalCents } from "../quoting/totals";
import { approvedParts } from "../sourcing/partStatus";
import { visitStanding } from "../visits/standing";
import type { VisitState } from "../visits/state";
import type { WorkOrderState } from "./state";

/** The concrete next thing to do on a work order, with its figure. */
export type NextAct =
  | { act: "bookVisit" }
  | { act: "setOff"; visitId: string }
  | { act: "arrive"; visitId: string }
  | { act: "inspect"; points: number }
  | { act: "addJob" }
  | { act: "showQuote"; totalCents: number }
  | { act: "orderParts"; parts: number }
  | { act: "receiveParts"; parts: number }
  | { act: "finishJobs"; jobs: number }
  | { act: "takePayment"; dueCents: number }
  | { act: "sendReceipt" }
  | { act: "nothing" };

/**
 * What comes next, from the state of the work.
 *
 * @param visits - all visits that serve the work order.
 * @param pointsLeft - how many points of the sheets at hand still miss something.
 * @param now - ISO instant; a booked visit is driven to on its day, not before.
 * @param beingOrdered - part lines that are out with a supplier who has not confirmed yet.
 */
export function nextAct(
  state: WorkOrderState,
  visits: readonly VisitState[],
  pointsLeft: number,
  now: string,
  beingOrdered: ReadonlySet<string> = NONE,
): NextAct {
  const coming = visits
    .filter((visit) => visitStanding(visit) === "booked")
    .sort((a, b) => (a.startsAt < b.startsAt ? -1 : 1));
  const driving = visits.find((visit) => visitStanding(visit) === "driving");
  const onSite = visits.some((visit) => visitStanding(visit) === "onSite");
  const visited = visits.some((visit) => visitStanding(visit) === "over");
  if (driving) return { act: "arrive", visitId: driving.id };
  if (closedWithoutSale(state) && !onSite && coming.length === 0) return { act: "nothing" };

  const unanswered = openJobs(state);
  const wanted = approvedParts(state, "needed");
  const needed = wanted.filter(({ id }) => !beingOrdered.has(id)).length;
  const unfinished = approvedJobs(state).filter((job) => job.finishedAt === null).length;
  const due = balanceOf(state).dueCents;

  if (onSite && pointsLeft > 0 && state.approvals.length === 0) return { act: "inspect", points: pointsLeft };
  if (needed > 0) return { act: "orderParts", parts: needed };
  if (unanswered.length > 0 && (onSite || visited || coming.length === 0))
    return { act: "showQuote", totalCents: quoteTotalCents(state) };
  const ordered = approvedParts(state, "ordered").length;
  if (onSite || (visited && coming.length === 0)) {
    if (ordered > 0) return { act: "receiveParts", parts: ordered };
    // The supplier's word is waited for.
    if (wanted.length > needed) return { act: "nothing" };
    if (unfinished > 0) return onSite ? { act: "finishJobs", jobs: unfinished } : { act: "bookVisit" };
    if (due > 0) return { act: "takePayment", dueCents: due };
    if (state.jobs.length === 0) return onSite ? { act: "addJob" } : { act: "bookVisit" };
    return state.payments.some(({ status }) => status === "taken") ? { act: "sendReceipt" } : { act: "nothing" };
  }
  const [next] = coming;
  if (next) {
    const isSoon = Date.parse(next.startsAt) - Date.parse(now) < SOON_MS;
    if (isSoon) return { act: "setOff", visitId: next.id };
    return ordered > 0 ? { act: "receiveParts", parts: ordered } : { act: "nothing" };
  }
  if (unfinished > 0 || state.jobs.length === 0) return { act: "bookVisit" };
  if (due > 0) return { act: "takePayment", dueCents: due };
  return state.payments.some(({ status }) => status === "taken") ? { act: "sendReceipt" } : { act: "nothing" };
}

const NONE: ReadonlySet<string> = new Set();

/** A visit within the next 12 hours is today's to drive to. */
const SOON_MS = 12 * 60 * 60 * 1000;
