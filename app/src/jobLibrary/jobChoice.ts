import {
  fittedAlone,
  positionChoices,
  positionsOfJob,
  priceWorkOrder,
  showMoney,
  showPositions,
  type CarFacts,
  type FittedJob,
  type Job,
  type JobFit,
  type LaborGuide,
  type LibraryJob,
  type QuoteSlice,
} from "@mechanon/core";

/** What jobs are fitted and priced by. */
export interface Fitter {
  /** The quote they would come to: its rules and taxes. */
  quote: QuoteSlice;
  facts: CarFacts;
  guide: LaborGuide | undefined;
  /** It is for a time after the hours of work. */
  isAfterHours: boolean;
}

/** One tap's worth of a job: where it is done, or in which quality. */
export interface JobOption {
  key: string;
  label: string;
  fit: JobFit;
}

/** A job of the library as it would be on this car. */
export interface JobChoice {
  fitted: FittedJob;
  /** With the positions that are usually done together, or as it is kept. */
  fit: JobFit;
  /** "$153.20", or from-to while not all of the car is known; for one position, where there are several. */
  price: string;
  positions: JobOption[];
  /** The other qualities, each with what it is dearer or cheaper. */
  variants: JobOption[];
}

/** What can be chosen of a job as it goes on a quote. */
export function jobChoice(job: LibraryJob, fitter: Fitter): JobChoice {
  const { facts, isAfterHours } = fitter;
  const choices = positionChoices(positionsOfJob(job));
  const usual = choices.find((positions) => positions.length === 2) ?? choices[0] ?? [];
  const fit: JobFit = { facts, positions: usual, variantId: null, isAfterHours };
  const { fitted, job: alone } = fittedWith(job, fit, fitter);
  const one = choices.length === 0 ? alone : fittedWith(job, { ...fit, positions: choices.at(-1) ?? [] }, fitter).job;
  const to = priceCents(alone, fitter, "most");
  return {
    fitted,
    fit,
    price: `${fromTo(one, fitter)}${choices.length === 0 ? "" : " each"}`,
    positions: choices.map((positions) => ({
      key: positions.join(),
      label: showPositions(positions),
      fit: { ...fit, positions },
    })),
    variants: job.variants.map(({ id, title }) => {
      const other = { ...fit, variantId: id };
      const cents = priceCents(fittedWith(job, other, fitter).job, fitter, "most") - to;
      return { key: id, label: `${title} ${difference(cents)}`, fit: other };
    }),
  };
}

/** The qualities of a job that stands on the quote, the one it has among them. */
export function variantChoices(job: LibraryJob, fit: JobFit, fitter: Fitter): { id: string | null; label: string }[] {
  if (job.variants.length === 0) return [];
  const centsOf = (variantId: string | null): number =>
    priceCents(fittedWith(job, { ...fit, variantId }, fitter).job, fitter, "most");
  const now = centsOf(fit.variantId);
  const label = (id: string | null, title: string): string =>
    id === fit.variantId ? title : `${title} ${difference(centsOf(id) - now)}`;
  const others = job.variants.map(({ id, title }) => ({ id, label: label(id, title) }));
  return [{ id: null, label: label(null, "Standard") }, ...others];
}

function fittedWith(job: LibraryJob, fit: JobFit, { guide, quote }: Fitter): { fitted: FittedJob; job: Job } {
  return fittedAlone(job, fit, guide, quote.rules);
}

function fromTo(job: Job, fitter: Fitter): string {
  const from = priceCents(job, fitter, "least");
  const to = priceCents(job, fitter, "most");
  return from < to ? `${showMoney(from)} to ${showMoney(to)}` : showMoney(to);
}

function difference(cents: number): string {
  return cents < 0 ? `−${showMoney(-cents)}` : `+${showMoney(cents)}`;
}

/** What a job would cost by itself, before taxes. */
function priceCents(job: Job, { quote }: Fitter, bound: "least" | "most"): number {
  const lines = job.lines.map((line) =>
    line.kind === "labor" && bound === "least" ? { ...line, hours: line.hoursFrom ?? line.hours } : line,
  );
  const alone = { rules: quote.rules, taxExempt: quote.taxExempt, jobs: [{ ...job, lines }] };
  return priceWorkOrder(alone, "all").jobs[0]?.total ?? 0;
}
