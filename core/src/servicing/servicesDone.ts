import type { InspectionSlice } from "../inspection/slice";
import type { QuoteSlice } from "../quoting/slice";
import type { ServiceDone } from "./dueServices";
import type { OwnersInterval } from "./ownersInterval";

/** The services done on a car, by the library jobs that the owner's list says do them. */
export function servicesDone(
  states: readonly (Pick<QuoteSlice, "jobs"> & Pick<InspectionSlice, "odometerMiles">)[],
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
