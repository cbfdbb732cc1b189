import { exact, roundPercent } from "../exact/decimal";
import type { Job, QuoteSlice } from "./slice";

/** What of a diagnosis comes off the price of a repair. */
export interface DiagnosisCredit {
  /** The diagnosis. */
  from: Job;
  cents: number;
}

/**
 * What comes off each repair for the diagnosis that led to it, by the owner's rule. The first that was not declined has the
 * credit, up to its own price; what is left of it goes to the next. A declined diagnosis is not paid, and not credited.
 *
 * @param nets - of each job by its id, in cents, before credits, without cores.
 */
export function diagnosisCredits(
  { rules, jobs }: Pick<QuoteSlice, "rules" | "jobs">,
  nets: ReadonlyMap<string, number>,
): ReadonlyMap<string, DiagnosisCredit> {
  const credits = new Map<string, DiagnosisCredit>();
  const percent = rules.diagnosisCreditPercent ?? 0;
  if (percent === 0) return credits;
  for (const from of jobs.filter((job) => job.isDiagnosis && !isDeclined(job))) {
    let left = Number(roundPercent(BigInt(nets.get(from.id) ?? 0), exact(percent)));
    for (const repair of jobs) {
      if (left <= 0) break;
      if (repair.isDiagnosis || isDeclined(repair) || credits.has(repair.id) || !isLedToBy(from, repair)) continue;
      const cents = Math.min(left, nets.get(repair.id) ?? 0);
      if (cents <= 0) continue;
      credits.set(repair.id, { from, cents });
      left -= cents;
    }
  }
  return credits;
}

const isDeclined = ({ answer }: Job): boolean => answer?.value === "no" || answer?.value === "later";

/** Whether a diagnosis led to a repair: as a person said; where nobody did, it is that of the same concern. */
export function isLedToBy(diagnosis: Job, { foundBy, concernId }: Job): boolean {
  if (foundBy !== undefined) return foundBy === diagnosis.id;
  return concernId !== null && concernId === diagnosis.concernId;
}
