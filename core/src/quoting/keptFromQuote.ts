import type { LaborGuide } from "../laborGuide/guide";
import { libraryJob, type LibraryJob, type LineFit } from "./libraryJob";
import type { QuoteLine } from "./quoteLine";
import type { Job } from "./slice";

/** What a job is called in the library. */
export interface KeptAs {
  id: string;
  title: string;
  area: string;
}

/**
 * A job of a work order as the library keeps it: what was fitted to that car fits itself to the next one again, what was
 * typed stays as it was typed.
 *
 * @param template - the library's job it came from; undefined: it was made on the work order, or is in the library no more.
 * @param guide - tells of operations where they are done.
 */
export function keptFromQuote(
  job: Job,
  { id, title, area }: KeptAs,
  template: LibraryJob | undefined,
  guide: LaborGuide | undefined,
): LibraryJob {
  const fits: LineFit[] = [];
  const lines = job.lines.map((line, index): QuoteLine => {
    const lineId = `${id}-${index + 1}`;
    const origin = job.fit?.lineIds.find((each) => each.id === line.id)?.libraryLineId;
    const before = template?.lines.find((each) => each.id === origin);
    const how = template?.fits.find((each) => each.lineId === origin);
    if (line.kind === "labor") {
      const operations = line.byHand ? [] : (line.operations ?? []);
      const torques = how?.torques ?? [];
      if (operations.length + torques.length > 0)
        fits.push({ lineId, operations, torques, count: null, spec: null, grades: [], onlyWhere: null });
      return withoutCar({ ...line, id: lineId });
    }
    if (!how || !before || before.kind !== line.kind || line.kind === "sublet" || before.kind === "sublet")
      return withoutCar({ ...line, id: lineId });
    fits.push({ ...how, lineId, count: line.byHand ? null : how.count });
    // A price or quantity that was set stays; grade and amount are the next car's.
    const quantity = line.byHand ? line.quantity : before.quantity;
    if (before.kind === "part" && line.kind === "part" && line.priceByHand)
      return withoutCar({ ...before, id: lineId, quantity, priceCents: line.priceCents });
    return withoutCar({ ...before, id: lineId, quantity });
  });
  const isFitted = fits.length > 0;
  const operation = guide?.operations.find((each) => fits.some(({ operations }) => operations.includes(each.id)));
  return libraryJob.parse({
    id,
    title,
    area,
    curesPoints: template?.curesPoints ?? [],
    answersConcerns: template?.answersConcerns ?? [],
    lines,
    fits,
    per: isFitted ? (template?.per ?? operation?.per ?? "job") : "job",
    positions: isFitted ? (template?.positions ?? []) : [],
    companions: template?.companions ?? [],
    isDiagnosis: job.isDiagnosis ?? false,
    words: template?.words,
    needs: template?.needs,
  });
}

/** A line without what it was on one car: hours as by itself, no sources, no steps. */
function withoutCar(line: QuoteLine): QuoteLine {
  const { byHand: _byHand, priceByHand, sources: _sources, ...kept } = line;
  if (kept.kind === "part") {
    const { isCustomers: _isCustomers, partByHand: _partByHand, ...part } = kept;
    return part;
  }
  if (kept.kind !== "labor") return kept;
  const {
    steps,
    hoursFrom: _hoursFrom,
    operations: _operations,
    rate: _rate,
    showsIncluded: _shown,
    assigned: _assigned,
    torques: _torques,
    ...labor
  } = kept;
  const alone =
    steps && !line.byHand ? steps.reduce((sum, { hours }) => sum + Math.round(hours * 10_000), 0) / 10_000 : 0;
  // A rate that was typed is the job's own from now on.
  return { ...labor, hours: alone > 0 ? alone : labor.hours, ...(priceByHand ? { priceByHand } : {}) };
}
