import { drivenMiles, showMoney, visitFeeCents } from "@mechanon/core";
import { sendCommand } from "../../sync/give";
import { Button } from "../../ui/Button";
import { feeIds } from "./feeActs";
import type { VisitProps } from "./visitProps";

/** What coming out costs this car of the trip: one tap puts it on the quote, or sets it right when cars came or went. */
export function CallOutFee({ visit, view, business }: VisitProps) {
  const { workOrderIds } = visit;
  const { visits: rules } = business.settings;
  const car = workOrderIds.indexOf(view.state.id);
  const miles = drivenMiles(business.settings.home, visit.place);
  if ((rules.callOutCents === 0 && !rules.callOutByMiles?.length) || car < 0) return null;
  const share = { kind: "callOut" as const, cars: workOrderIds.length, car, ...(miles === null ? {} : { miles }) };
  const cents = visitFeeCents(rules, share);
  const ids = feeIds(visit.id, view.state.id, "callOut");
  const there = view.state.jobs.find(({ id }) => id === ids.jobId);
  const thereCents = there?.lines.reduce((sum, line) => sum + (line.kind === "fee" ? line.priceCents : 0), 0) ?? 0;
  if (thereCents === cents || there?.answer || (!there && cents === 0)) return null;
  const shared = workOrderIds.length > 1 ? `, ${rules.callOutOn === "shared" ? "shared" : "for the trip"}` : "";
  const label = there
    ? cents === 0
      ? "Take the call-out off: another car bears it"
      : `Set the call-out to ${showMoney(cents)}${shared}`
    : `Charge the call-out, ${showMoney(cents)}${shared}`;
  return (
    <Button
      kind="quiet"
      label={label}
      testID="call-out"
      onPress={() => sendCommand(view.state.id, { type: "addVisitFee", ...ids, ...share })}
    />
  );
}
