import type { DemoVisit } from "@mechanon/demo";
import { nothingArranged, type Place, type VisitCommand } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { runVisitCommands } from "../visits/service";
import type { DemoRun } from "./demoRun";

/** A visit for one work order, as far as it got. */
export async function loadVisit(
  run: DemoRun,
  visit: DemoVisit,
  { workOrderId, place, bookedAt }: { workOrderId: string; place: Place; bookedAt: string },
): Promise<void> {
  const id = uuid();
  const startsAt = run.startOf(visit);
  const endsAt = new Date(Date.parse(startsAt) + visit.minutes * 60_000).toISOString();
  const send = (command: VisitCommand, at: string): Promise<unknown> =>
    runVisitCommands(run.deps, run.scope(visit.mechanic), id, [{ id: uuid(), at, command }]);
  await send(
    {
      type: "bookVisit",
      workOrderIds: [workOrderId],
      mechanicId: run.people.get(visit.mechanic) ?? "",
      place,
      startsAt,
      endsAt,
      note: visit.note ?? "",
      allowOverlap: true,
      arranged: nothingArranged(),
      readyBy: null,
      anotherTripWhy: "",
      series: null,
    },
    bookedAt,
  );
  if (visit.reached === "driving") await send({ type: "setOff", driveMinutes: 12 }, startsAt);
  if (visit.reached === "onSite" || visit.reached === "over") await send({ type: "arrive" }, startsAt);
  if (visit.reached === "over") await send({ type: "leave" }, endsAt);
}
