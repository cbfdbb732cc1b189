import { showAmount } from "./amountOf";
import { priceWorkOrder } from "./priceWorkOrder";
import type { QuoteLine } from "./quoteLine";
import type { Job, QuoteSlice } from "./slice";
import { quoteTotalCents } from "./totals";

/** One side of a comparison: what it is there, and what it costs in cents; null: it is not there. */
export interface ComparedSide {
  words: string;
  cents: number;
}

export interface ComparedLine {
  key: string;
  sides: readonly (ComparedSide | null)[];
}

/** A job of one or several quotes, with its lines beside each other. */
export interface ComparedJob {
  key: string;
  title: string;
  cents: readonly (number | null)[];
  lines: ComparedLine[];
}

export interface ComparedQuotes {
  jobs: ComparedJob[];
  totals: readonly number[];
}

/**
 * Quotes beside each other, line by line: jobs are the same by the library's id, else by their title; lines by the
 * library's line, else by kind and name, else, of library jobs, by their place among those of their kind.
 */
export function compareQuotes(quotes: readonly QuoteSlice[]): ComparedQuotes {
  const priced = quotes.map((quote) => priceWorkOrder(quote, "all"));
  const nets = priced.map(({ lines }) => new Map(lines.map(({ id, net }) => [id, net])));
  const totals = priced.map(({ jobs }) => new Map(jobs.map(({ id, total }) => [id, total])));
  const rows = new Map<string, (Job | null)[]>();
  quotes.forEach((quote, at) =>
    quote.jobs.forEach((job) => {
      const key = freeKey(rows, keyOfJob(job), at);
      const row = rows.get(key) ?? quotes.map(() => null);
      row[at] = job;
      rows.set(key, row);
    }),
  );
  return {
    jobs: [...rows].map(([key, jobs]) => ({
      key,
      title: jobs.find((job) => job !== null)?.title ?? "",
      cents: jobs.map((job, at) => (job ? (totals[at]?.get(job.id) ?? 0) : null)),
      lines: comparedLines(jobs, nets),
    })),
    totals: quotes.map(quoteTotalCents),
  };
}

/** What tells that lines of two quotes are the same, the surest first. */
const SAME: ((one: PlacedLine, other: PlacedLine) => boolean)[] = [
  (one, other) => one.libraryLineId !== null && one.libraryLineId === other.libraryLineId,
  (one, other) => one.line.description.toLowerCase() === other.line.description.toLowerCase(),
  // Of a library job the lines of a kind stand in one order, whatever grade or quality they are of.
  (one, other) => one.isOfLibrary && other.isOfLibrary && one.place === other.place,
];

interface PlacedLine {
  line: QuoteLine;
  libraryLineId: string | null;
  isOfLibrary: boolean;
  /** Among the lines of its kind. */
  place: number;
}

function comparedLines(jobs: readonly (Job | null)[], nets: readonly ReadonlyMap<string, number>[]): ComparedLine[] {
  const rows: (PlacedLine | null)[][] = [];
  jobs.forEach((job, at) => {
    const left = new Set(job ? placed(job) : []);
    for (const isSame of SAME)
      for (const each of left) {
        const row = rows.find(
          (known) =>
            known[at] === null &&
            known.some((other) => other !== null && other.line.kind === each.line.kind && isSame(other, each)),
        );
        if (!row) continue;
        row[at] = each;
        left.delete(each);
      }
    for (const each of left) rows.push(jobs.map((_, index) => (index === at ? each : null)));
  });
  return rows.map((row) => ({
    key: row.map((each) => each?.line.id ?? "").join(" "),
    sides: row.map((each, at) =>
      each
        ? { words: `${showAmount(each.line)} ${each.line.description}`, cents: nets[at]?.get(each.line.id) ?? 0 }
        : null,
    ),
  }));
}

function placed({ lines, fit, libraryJobId }: Job): PlacedLine[] {
  return lines.map((line) => ({
    line,
    libraryLineId: fit?.lineIds.find(({ id }) => id === line.id)?.libraryLineId ?? null,
    isOfLibrary: libraryJobId !== null,
    place: lines.filter(({ kind }) => kind === line.kind).indexOf(line),
  }));
}

/** The key, or the next one of its name whose place of this quote is free. */
function freeKey(rows: ReadonlyMap<string, readonly unknown[]>, key: string, at: number): string {
  let free = key;
  for (let number = 2; rows.get(free)?.[at]; number++) free = `${key} ${number}`;
  return free;
}

function keyOfJob({ libraryJobId, title }: Job): string {
  return libraryJobId ?? title.toLowerCase();
}
