import { driveMinutes, mainPlace } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";

/** Minutes of driving there and back for all trips of a work order, from the shop; null: nobody knows where it is. */
export function driveMinutesThere({ visits, customer }: WorkOrderView, { settings }: Business): number | null {
  const trips = visits.flatMap(({ calledOff, place }) => (calledOff ? [] : [place]));
  const home = customer ? mainPlace(customer) : null;
  const places = trips.length > 0 ? trips : home ? [home] : [];
  const minutes = places.map((place) => driveMinutes(settings.home, place));
  const known = minutes.filter((each) => each !== null);
  return known.length === 0 ? null : 2 * known.reduce((sum, each) => sum + each, 0);
}
