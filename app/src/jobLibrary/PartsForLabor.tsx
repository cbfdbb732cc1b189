import { useState } from "react";
import { View } from "react-native";
import { v7 as uuid } from "uuid";
import { partsForLabor, positionsOfKeys, type Job, type JobFit, type LaborLine } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Words } from "../ui/Words";
import { JobOptions } from "./JobOptions";
import { useFitter } from "./useFitter";

interface PartsForLaborProps {
  line: LaborLine;
  job: Job;
  view: WorkOrderView;
  business: Business;
}

/** From labor of the guide back to the parts for it, as lines of the same job. */
export function PartsForLabor({ line, job, view, business }: PartsForLaborProps) {
  const [isOpen, setOpen] = useState(false);
  const { facts, isAfterHours } = useFitter(view, business);
  if (!line.operations?.length) return null;
  if (!isOpen) return <Button kind="quiet" label="Parts for it" onPress={() => setOpen(true)} />;
  const fit: JobFit = {
    facts,
    isAfterHours,
    positions: positionsOfKeys((line.steps ?? []).map(({ key }) => key)),
    variantId: null,
  };
  const parts = partsForLabor(line, job, business.library, fit, business.guide);
  if (parts.length === 0)
    return <Words tone="muted">The library has no part for it that is not here. Add a line with the part.</Words>;
  return (
    <View>
      <JobOptions
        title={`part for ${line.description.toLowerCase()}`}
        options={parts.map((part) => ({
          key: part.line.id,
          label: `${part.line.quantity} × ${part.line.description}`,
          part,
        }))}
        onChoose={({ part }) =>
          sendCommand(view.state.id, {
            type: "addPart",
            jobId: job.id,
            lineId: uuid(),
            libraryJobId: part.libraryJobId,
            libraryLineId: part.line.id,
            fit: { ...fit, positions: [...fit.positions] },
          })
        }
      />
    </View>
  );
}
