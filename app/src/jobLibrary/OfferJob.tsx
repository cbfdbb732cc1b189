import { useState } from "react";
import { View } from "react-native";
import type { LibraryJob } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { addFromLibrary } from "./addFromLibrary";
import { JobOptions } from "./JobOptions";
import { jobChoice } from "./jobChoice";
import { useFitter } from "./useFitter";

interface OfferJobProps {
  job: LibraryJob;
  why: { pointId: string | null; concernId: string | null };
  view: WorkOrderView;
  business: Business;
}

/** Puts the cure of a finding on the quote; one that is done somewhere asks where. A car it does not apply to is not offered it. */
export function OfferJob({ job, why, view, business }: OfferJobProps) {
  const [isAsking, setAsking] = useState(false);
  const fitter = useFitter(view, business);
  const { fitted, fit, positions } = jobChoice(job, fitter);
  if (fitted.doesNotApply) return null;
  return (
    <View>
      <Button
        label={`Offer ${job.title.toLowerCase()}`}
        onPress={() => (positions.length > 0 ? setAsking(!isAsking) : addFromLibrary(view.state.id, job, why, fit))}
      />
      {isAsking ? (
        <JobOptions
          title={job.title}
          options={positions}
          onChoose={(option) => addFromLibrary(view.state.id, job, why, option.fit)}
        />
      ) : null}
    </View>
  );
}
