import { showTime, type TimeOffer } from "@mechanon/core";
import type { Business } from "../session/useSession";

/** Who would come, and what it costs on the road. @example offerWords(...) //=> "Tomas, +9 min driving, to start by 11:30 am" */
export function offerWords(
  { mechanicId, addedMinutes, latestStartsAt, startsAt }: TimeOffer,
  { people, timeZone }: Pick<Business, "people" | "timeZone">,
): string {
  const name = people.find(({ id }) => id === mechanicId)?.name.split(" ")[0] ?? "";
  const drive =
    addedMinutes === 0 ? "on the way" : `${addedMinutes > 0 ? "+" : "−"}${Math.abs(addedMinutes)} min driving`;
  const until =
    latestStartsAt !== null && latestStartsAt !== startsAt ? `to start by ${showTime(latestStartsAt, timeZone)}` : "";
  return [name, drive, until].filter(Boolean).join(", ");
}
