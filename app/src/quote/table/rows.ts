import type { Job, QuoteLine } from "@mechanon/core";

/** A row of the table: a job, one of its lines, a place to type one more line, a place to type one more job. */
export type TableRow =
  | { kind: "job"; key: string; job: Job }
  | { kind: "line"; key: string; job: Job; line: QuoteLine }
  | { kind: "addLine"; key: string; job: Job }
  | { kind: "addJob"; key: string };

/** The rows of a quote from top to bottom; a finished job takes no more lines. */
export function rowsOf(jobs: readonly Job[]): TableRow[] {
  return [
    ...jobs.flatMap((job): TableRow[] => [
      { kind: "job", key: job.id, job },
      ...job.lines.map((line): TableRow => ({ kind: "line", key: line.id, job, line })),
      ...(job.finishedAt === null ? [{ kind: "addLine" as const, key: `add-${job.id}`, job }] : []),
    ]),
    { kind: "addJob", key: "add-job" },
  ];
}

/** The columns from left to right; the last two are only read. */
export const COLUMNS = ["amount", "what", "each", "off", "cost", "margin", "net"] as const;
export type Column = (typeof COLUMNS)[number];

export const COLUMN_TITLES: Readonly<Record<Column, string>> = {
  amount: "Amount",
  what: "What",
  each: "Each",
  off: "Less",
  cost: "Cost",
  margin: "Left",
  net: "Price",
};
