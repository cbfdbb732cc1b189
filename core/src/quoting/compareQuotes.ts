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
 * library's line, else by kind and name, else by their place among those of their kind.
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

function comparedLines(jobs: readonly (Job | null)[], nets: readonly ReadonlyMap<string, number>[]): ComparedLine[] {
  const rows = new Map<string, (ComparedSide | null)[]>();
  jobs.forEach((job, at) =>
    job?.lines.forEach((line) => {
      const key = freeKey(rows, keyOfLine(job, line), at);
      const row = rows.get(key) ?? jobs.map(() => null);
      row[at] = { words: `${showAmount(line)} ${line.description}`, cents: nets[at]?.get(line.id) ?? 0 };
      rows.set(key, row);
    }),
  );
  return [...rows].map(([key, sides]) => ({ key, sides }));
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

function keyOfLine({ fit, libraryJobId, lines }: Job, line: QuoteLine): string {
  const fromLibrary = fit?.lineIds.find(({ id }) => id === line.id)?.libraryLineId;
  if (fromLibrary !== undefined) return fromLibrary;
  // Of a library job lines stand in the library's order; of one's own their names tell.
  const ofKind = lines.filter(({ kind }) => kind === line.kind);
  return libraryJobId === null
    ? `${line.kind} ${line.description.toLowerCase()}`
    : `${line.kind} ${ofKind.indexOf(line)}`;
}
