import { View } from "react-native";
import type { JobFit, LibraryJob } from "@mechanon/core";
import { Words } from "../ui/Words";
import { JobOptions } from "./JobOptions";
import { jobChoice, type Fitter } from "./jobChoice";

interface CommonJobsProps {
  /** The commonest first. */
  jobs: readonly LibraryJob[];
  fitter: Fitter;
  onAdd: (job: LibraryJob, fit: JobFit) => void;
}

/** The jobs that are done most often here, one tap each; where there are several positions, the usual ones. */
export function CommonJobs({ jobs, fitter, onAdd }: CommonJobsProps) {
  const options = jobs.flatMap((job) => {
    const { fitted, fit } = jobChoice(job, fitter);
    return fitted.doesNotApply ? [] : [{ key: job.id, label: fitted.title, job, fit }];
  });
  if (options.length === 0) return null;
  return (
    <View>
      <Words size="small" tone="muted">
        Done most often
      </Words>
      <JobOptions title="often done" options={options} onChoose={({ job, fit }) => onAdd(job, fit)} />
    </View>
  );
}
