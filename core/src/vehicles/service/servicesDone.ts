import type { OwnersInterval } from "../../settings/businessSettings";
import type { WorkOrderState } from "../../workOrders/state";
import type { ServiceDone } from "./dueServices";

/** The services done on a car, by the library jobs that the owner's list says do them. */
export function servicesDone(
  states: readonly Pick<WorkOrderState, "jobs" | "odometerMiles">[],
  owners: readonly OwnersInterval[],
): ServiceDone[] {
  return states.flatMap(({ jobs, odometerMiles }) =>
    jobs.flatMap(({ libraryJobId, finishedAt }) =>
      finishedAt === null || libraryJobId === null
        ? []
        : owners
            .filter(({ jobIds }) => jobIds.includes(libraryJobId))
            .map(({ id }) => ({ intervalId: id, at: finishedAt, miles: odometerMiles?.value ?? null })),
    ),
  );
}
