import {
  broughtJobs,
  fittedAlone,
  positionChoices,
  positionsOfJob,
  jobTotals,
  priceFromTo,
  showMoney,
  shareSteps,
  showPositions,
  type BroughtJobs,
  usualPositions,
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

/** How a job is fitted where nobody said otherwise. */
export function usualFit(job: LibraryJob, { facts, isAfterHours }: Pick<Fitter, "facts" | "isAfterHours">): JobFit {
  return { facts, positions: usualPositions(job), variantId: null, isAfterHours };
}

/** What can be chosen of a job as it goes on a quote. */
export function jobChoice(job: LibraryJob, fitter: Fitter): JobChoice {
  const choices = positionChoices(positionsOfJob(job));
  const fit = usualFit(job, fitter);
  const { fitted, job: alone } = fittedWith(job, fit, fitter);
  const one = choices.length === 0 ? alone : fittedWith(job, { ...fit, positions: choices.at(-1) ?? [] }, fitter).job;
  const to = priceCents([alone], fitter.quote, "most");
  return {
    fitted,
    fit,
    price: `${fromToPrice([one], fitter.quote)}${choices.length === 0 ? "" : " each"}`,
    positions: choices.map((positions) => ({
      key: positions.join(),
      label: showPositions(positions),
      fit: { ...fit, positions },
    })),
    variants: job.variants.map(({ id, title }) => {
      const other = { ...fit, variantId: id };
      const cents = priceCents([fittedWith(job, other, fitter).job], fitter.quote, "most") - to;
      return { key: id, label: `${title} ${difference(cents)}`, fit: other };
    }),
  };
}

/** A whole order as it would be on this car. */
export interface WholeOrderChoice extends BroughtJobs {
  /** All of it, with what the jobs share paid once. */
  price: string;
}

/** What a whole order would put on the quote. */
export function wholeOrderChoice(order: LibraryJob, library: readonly LibraryJob[], fitter: Fitter): WholeOrderChoice {
  const brought = broughtJobs(order, library, fitter);
  const alone = brought.jobs.map(({ job, fit }) => {
    const { job: fitted } = fittedWith(job, fit, fitter);
    // Lines of two jobs of the library may be called alike.
    return { ...fitted, lines: fitted.lines.map((line) => ({ ...line, id: `${job.id} ${line.id}` })) };
  });
  return { ...brought, price: fromToPrice(shareSteps(alone), fitter.quote) };
}

/** The qualities of a job that stands on the quote, the one it has among them. */
export function variantChoices(job: LibraryJob, fit: JobFit, fitter: Fitter): { id: string | null; label: string }[] {
  if (job.variants.length === 0) return [];
  const centsOf = (variantId: string | null): number =>
    priceCents([fittedWith(job, { ...fit, variantId }, fitter).job], fitter.quote, "most");
  const now = centsOf(fit.variantId);
  const label = (id: string | null, title: string): string =>
    id === fit.variantId ? title : `${title} ${difference(centsOf(id) - now)}`;
  const others = job.variants.map(({ id, title }) => ({ id, label: label(id, title) }));
  return [{ id: null, label: label(null, "Standard") }, ...others];
}

function fittedWith(job: LibraryJob, fit: JobFit, { guide, quote }: Fitter): { fitted: FittedJob; job: Job } {
  return fittedAlone(job, fit, guide, quote.rules);
}

/** What jobs would cost by themselves, before taxes: "$153.20", or from-to while not all of the car is known. */
export function fromToPrice(jobs: readonly Job[], rules: QuoteRules): string {
  const from = priceCents(jobs, rules, "least");
  const to = priceCents(jobs, rules, "most");
  return from < to ? `${showMoney(from)} to ${showMoney(to)}` : showMoney(to);
}

function difference(cents: number): string {
  return cents < 0 ? `−${showMoney(-cents)}` : `+${showMoney(cents)}`;
}

type QuoteRules = Pick<QuoteSlice, "rules" | "taxExempt">;

function priceCents(jobs: readonly Job[], { rules, taxExempt }: QuoteRules, bound: "least" | "most"): number {
  const quote: QuoteSlice = { rules, taxExempt, jobs: [...jobs] };
  const totals = bound === "least" ? priceFromTo(quote).jobs : jobTotals(quote);
  return [...totals.values()].reduce((sum, total) => sum + total, 0);
}
