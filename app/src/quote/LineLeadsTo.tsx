import type { Job, QuoteLine } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { LaborForPart } from "../jobLibrary/LaborForPart";
import { PartLastTime } from "../jobLibrary/PartLastTime";
import { PartsForLabor } from "../jobLibrary/PartsForLabor";
import type { Business } from "../session/useSession";

interface LineLeadsToProps {
  line: QuoteLine;
  job: Job;
  view: WorkOrderView;
  business: Business;
}

/** What a line leads to: from a part to the one of last time and to its labor, from labor to its parts. */
export function LineLeadsTo({ line, job, view, business }: LineLeadsToProps) {
  if (line.kind === "labor") return <PartsForLabor line={line} job={job} view={view} business={business} />;
  if (line.kind !== "part") return null;
  const { state, vehicle } = view;
  return (
    <>
      {vehicle ? <PartLastTime workOrderId={state.id} line={line} vehicleId={vehicle.id} business={business} /> : null}
      <LaborForPart line={line} jobId={job.id} view={view} business={business} />
    </>
  );
}
