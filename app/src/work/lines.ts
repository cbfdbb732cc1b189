import {
  approvedJobs,
  approvedParts,
  balanceOf,
  countOf,
  openPoints,
  quoteTotalCents,
  showMoment,
  showMoney,
  visitStanding,
  type InspectionPoint,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { beingOrdered } from "./beingOrdered";
import type { SheetPart } from "./parts";

const VISIT_WORDS = {
  booked: "",
  driving: "on the way",
  onSite: "on site",
  over: "over",
  cancelled: "cancelled",
} as const;

/** The line each folded part of the sheet still says. */
export function sheetLines(
  view: WorkOrderView,
  points: readonly InspectionPoint[],
  zone: string,
  today: string,
): Record<SheetPart, string> {
  const { state } = view;
  const live = view.visits.filter((visit) => visitStanding(visit) !== "cancelled");
  const last = live[live.length - 1];
  const bad = state.findings.filter(({ grade }) => grade === "act").length;
  const watch = state.findings.filter(({ grade }) => grade === "watch").length;
  const open = openPoints(points, state.findings).length;
  const ordered = approvedParts(state, "ordered").length;
  const awaited = beingOrdered(view);
  const wanted = approvedParts(state, "needed");
  const needed = wanted.filter(({ id }) => !awaited.has(id)).length;
  const out = wanted.length - needed;
  const agreed = approvedJobs(state);
  const done = agreed.filter(({ finishedAt }) => finishedAt !== null).length;
  const balance = balanceOf(state);
  return {
    visits: last
      ? [showMoment(last.startsAt, zone, today), VISIT_WORDS[visitStanding(last)]].filter(Boolean).join(", ")
      : "No visit yet",
    check:
      state.findings.length === 0
        ? "Not started"
        : [
            open > 0 ? `${open} open` : "All checked",
            bad > 0 ? `${bad} act now` : "",
            watch > 0 ? `${watch} to watch` : "",
          ]
            .filter(Boolean)
            .join(", "),
    quote:
      state.jobs.length === 0
        ? "No job yet"
        : `${countOf(state.jobs.length, "job")}, ${showMoney(quoteTotalCents(state))}`,
    parts:
      wanted.length + ordered === 0
        ? state.received.length > 0
          ? agreed.every(({ finishedAt }) => finishedAt !== null)
            ? "All fitted"
            : "All in hand"
          : "None"
        : [
            needed > 0 ? `${needed} to order` : "",
            out > 0 ? `${out} being ordered` : "",
            ordered > 0 ? `${ordered} on order` : "",
          ]
            .filter(Boolean)
            .join(", "),
    work: agreed.length === 0 ? "Nothing agreed yet" : `${done} of ${countOf(agreed.length, "job")} finished`,
    money:
      balance.totalCents === 0
        ? "Nothing agreed yet"
        : balance.dueCents === 0
          ? `Paid ${showMoney(balance.paidCents)}`
          : `${showMoney(balance.dueCents)} due`,
  };
}
