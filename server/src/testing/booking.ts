import { v7 as uuid } from "uuid";
import type { VisitState } from "@mechanon/core";
import type { Outcomes, TestPerson } from "./testServer";

export const EBB_COURT = { latitude: 48.0216, longitude: -122.6258 };

/** A visit as a device books it, without what may be left out. */
export function bookingOf(
  workOrderId: string,
  { mechanicId, startsAt, endsAt }: { mechanicId: string; startsAt: string; endsAt: string },
): object {
  return {
    type: "bookVisit",
    workOrderIds: [workOrderId],
    mechanicId,
    place: { street: "3 Ebb Court", town: "", region: "", postcode: "", ...EBB_COURT },
    startsAt,
    endsAt,
    note: "",
    allowOverlap: false,
  };
}

/** Gives a command to a visit. */
export async function sendToVisit(
  who: TestPerson,
  visitId: string,
  command: object,
): Promise<Outcomes & { visit: VisitState | null; revision: number }> {
  const sent = { commands: [{ id: uuid(), at: new Date().toISOString(), command }] };
  return (
    await who.post<Outcomes & { visit: VisitState | null; revision: number }>(`/api/visits/${visitId}/commands`, sent)
  ).body;
}
