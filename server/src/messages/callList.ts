import { dayOf, isToCall, showVehicle, upgradeDetails, type CustomerDetails } from "@mechanon/core";
import type { QuoteToCall } from "@mechanon/contract";
import type { Vehicle } from "@mechanon/contract";
import { askPrepared } from "../db/askPrepared";
import type { Deps, Scope } from "../scope";
import { SENT_QUOTES } from "./tellNudges";

interface Sent {
  workOrderId: string;
  number: number;
  name: string;
  details: CustomerDetails;
  vehicle: Pick<Vehicle, "year" | "make" | "model" | "trim"> | null;
  totalCents: number;
  sentAt: string;
  againOn: string | null;
}

/** Quotes nobody answered though every reminder went out: whom to call, at which number, the longest unanswered first. */
export async function callList(
  { db, rules }: Pick<Deps, "db" | "rules">,
  scope: Scope,
  now: Date,
): Promise<QuoteToCall[]> {
  const { businessId } = scope;
  const { timeZone, settings } = await rules.now(businessId);
  const today = dayOf(now.toISOString(), timeZone);
  const { nudgeDays } = settings.messages;
  const sent = await askPrepared<Sent>(db, SENT_QUOTES, [businessId]);
  return sent
    .filter(({ sentAt, againOn }) => isToCall({ sentOn: dayOf(sentAt, timeZone), againOn }, nudgeDays, today))
    .map(({ workOrderId, number, name, details, vehicle, totalCents, sentAt }) => ({
      ...{ workOrderId, number, totalCents, sentAt },
      customerName: name,
      vehicleName: vehicle ? showVehicle(vehicle) : "",
      phone: upgradeDetails(details).phones[0]?.number ?? null,
    }));
}
