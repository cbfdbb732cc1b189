import { View } from "react-native";
import { companionsOf, type JobFit, type LibraryJob } from "@mechanon/core";
import { Words } from "../ui/Words";
import { JobOptions } from "./JobOptions";
import { jobChoice, type Fitter } from "./jobChoice";

interface GoesWithProps {
  job: LibraryJob;
  library: readonly LibraryJob[];
  fitter: Fitter;
  onAdd: (job: LibraryJob, fit: JobFit) => void;
}

/** What is worth doing with a job and is not on the quote. */
export function GoesWith({ job, library, fitter, onAdd }: GoesWithProps) {
  const options = companionsOf(job, library, fitter.quote).flatMap((other) => {
    const { fitted, fit, price } = jobChoice(other, fitter);
    return fitted.doesNotApply ? [] : [{ key: other.id, label: `${fitted.title} ${price}`, other, fit }];
  });
  if (options.length === 0) return null;
  return (
    <View>
      <Words size="small" tone="muted">
        Goes with it
      </Words>
      <JobOptions
        title={`with ${job.title.toLowerCase()}`}
        options={options}
        onChoose={({ other, fit }) => onAdd(other, fit)}
      />
    </View>
  );
}
