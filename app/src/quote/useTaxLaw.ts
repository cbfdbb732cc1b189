import { useEffect, useRef } from "react";
import type { WorkOrderView } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { isUnderOtherTaxes, taxPlaceHere } from "./taxLaw";

/** Puts a quote that is looked at under the taxes of its place and day, once each time it is opened. */
export function useTaxLaw(view: WorkOrderView, business: Business): void {
  const today = useToday();
  const asked = useRef<string | null>(null);
  const { rules } = business.settings;
  const { id } = view.state;
  const placeId = taxPlaceHere(view, rules)?.id ?? null;
  const isOther = isUnderOtherTaxes(view, rules, today);
  useEffect(() => {
    // What this device knows of the law may be older than what the server does: it is asked once, not in turns.
    const question = `${id} ${placeId ?? ""} ${today}`;
    if (!isOther || asked.current === question) return;
    asked.current = question;
    sendCommand(id, { type: "followTaxes", placeId, day: today });
  }, [isOther, id, placeId, today]);
}
