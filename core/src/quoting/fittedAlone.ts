import type { LaborGuide } from "../laborGuide/guide";
import { fitJob, type FittedJob, type JobFit } from "./fitJob";
import type { LibraryJob } from "./libraryJob";
import type { MoneyRules } from "./moneyRules";
import type { Job } from "./slice";
import { withHousesRate, withStandingRates } from "./standingRate";

/** A library job as it would be on a quote, by itself: fitted, at the rates that stand for it. */
export function fittedAlone(
  template: LibraryJob,
  fit: JobFit,
  guide: LaborGuide | undefined,
  rules: MoneyRules,
): { fitted: FittedJob; job: Job } {
  const fitted = fitJob(template, fit, guide);
  const job: Job = {
    id: template.id,
    title: fitted.title,
    libraryJobId: template.id,
    concernId: null,
    pointIds: [],
    fit: { ...fit, facts: { ...fit.facts }, positions: [...fit.positions], lineIds: [] },
    isDiagnosis: template.isDiagnosis,
    lines: fitted.lines.map(withHousesRate),
    addedAt: "",
    answer: null,
    finishedAt: null,
  };
  return { fitted, job: withStandingRates(job, rules) };
}
