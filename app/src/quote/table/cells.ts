import {
  amountOf,
  readMoney,
  showAmount,
  showMoney,
  type ClientWorkOrderCommand,
  type Job,
  type Margin,
  type PricedQuote,
  type QuoteLine,
} from "@mechanon/core";
import { discountWords, readDiscount, typedDiscount } from "../discountWords";
import { figureCommand } from "../figureCommand";
import { readAmount } from "../readAmount";
import type { Column, TableRow } from "./rows";

/** What whoever types may do. */
export interface TableRights {
  mayPrice: boolean;
  seesCost: boolean;
}

/** What a change is, and what takes it back. */
export interface CellAct {
  command: ClientWorkOrderCommand;
  undo: ClientWorkOrderCommand;
}

/** What cells are shown by. */
export interface Figures {
  lines: ReadonlyMap<string, PricedQuote["lines"][number]>;
  totals: ReadonlyMap<string, number>;
  margins: { lines: ReadonlyMap<string, Margin>; jobs: ReadonlyMap<string, Margin> };
}

const money = (cents: number): string => (cents / 100).toFixed(2);

/** What stands in a cell. */
export function cellText(row: TableRow, column: Column, figures: Figures): string {
  if (row.kind === "addLine" || row.kind === "addJob") return "";
  if (row.kind === "job") return jobText(row.job, column, figures);
  const { line } = row;
  switch (column) {
    case "amount":
      return showAmount(line);
    case "what":
      return line.description;
    case "each":
      return line.kind === "sublet" ? "" : money(figures.lines.get(line.id)?.unitPrice ?? 0);
    case "off":
      return line.kind === "core" || !line.off ? "" : discountWords(line.off);
    case "cost":
      return costOf(line) === null ? "" : money(costOf(line) ?? 0);
    case "margin":
      return marginText(figures.margins.lines.get(line.id));
    case "net":
      return showMoney(figures.lines.get(line.id)?.net ?? 0);
  }
}

function jobText(job: Job, column: Column, { totals, margins }: Figures): string {
  switch (column) {
    case "what":
      return job.title;
    case "off":
      return job.off ? discountWords(job.off) : "";
    case "margin":
      return marginText(margins.jobs.get(job.id));
    case "net":
      return showMoney(totals.get(job.id) ?? 0);
    default:
      return "";
  }
}

function marginText(margin: Margin | undefined): string {
  return margin?.percent === null || margin === undefined ? "" : `${margin.percent}%`;
}

function costOf(line: QuoteLine): number | null {
  return (line.kind === "part" && !line.isCustomers) || line.kind === "sublet" ? line.costCents : null;
}

/** What a cell is typed over with; null: it cannot be changed by this person. */
export function typedText(row: TableRow, column: Column, figures: Figures, rights: TableRights): string | null {
  if (row.kind === "addLine" || row.kind === "addJob") return column === "what" ? "" : null;
  if (row.job.finishedAt !== null) return null;
  if (row.kind === "job") {
    if (column === "what") return row.job.title;
    return column === "off" && rights.mayPrice ? typedDiscount(row.job.off) : null;
  }
  const { line, job } = row;
  switch (column) {
    case "amount":
      return line.kind === "sublet" ? null : String(amountOf(line));
    case "what":
      return line.description;
    case "each":
      return rights.mayPrice && line.kind !== "sublet" ? cellText(row, column, figures) : null;
    case "off":
      return rights.mayPrice && line.kind !== "core" && !job.setPrice ? typedDiscount(line.off) : null;
    case "cost":
      return rights.mayPrice && rights.seesCost && costOf(line) !== null ? money(costOf(line) ?? 0) : null;
    case "margin":
    case "net":
      return null;
  }
}

/** What one looks like, where what was typed does not fit. */
export const LOOKS_LIKE: Readonly<Record<Column, string>> = {
  amount: "a number like 1 or 7.6",
  what: "say what it is",
  each: "an amount looks like 84.50",
  off: "10% or 25.00",
  cost: "an amount looks like 84.50",
  margin: "",
  net: "",
};

/**
 * What typing in a cell does.
 * @returns null where it changes nothing; `fault` where it does not fit.
 */
export function cellAct(row: TableRow, column: Column, typed: string, figures: Figures): CellAct | "fault" | null {
  if (row.kind === "job") return jobAct(row.job, column, typed);
  return row.kind === "line" ? lineAct(row.line, column, typed, figures) : null;
}

function jobAct(job: Job, column: Column, typed: string): CellAct | "fault" | null {
  const edit = (change: object, before: object): CellAct => ({
    command: { type: "editJob", jobId: job.id, change },
    undo: { type: "editJob", jobId: job.id, change: before },
  });
  if (column === "what") {
    const title = typed.trim();
    if (title === "") return "fault";
    return title === job.title ? null : edit({ title }, { title: job.title });
  }
  const off = readDiscount(typed);
  if (off === undefined) return "fault";
  return typedDiscount(off ?? undefined) === typedDiscount(job.off) ? null : edit({ off }, { off: job.off ?? null });
}

function lineAct(line: QuoteLine, column: Column, typed: string, figures: Figures): CellAct | "fault" | null {
  const lineId = line.id;
  const edit = (change: object, before: object): CellAct => ({
    command: { type: "editLine", lineId, change },
    undo: { type: "editLine", lineId, change: before },
  });
  const figure = (over: { amount?: number; priceCents?: number }): ClientWorkOrderCommand => figureCommand(line, over);
  switch (column) {
    case "amount": {
      const amount = readAmount(typed.replace(/\s*(h|×|x)\s*$/i, ""));
      if (amount === null) return "fault";
      return amount === amountOf(line)
        ? null
        : { command: figure({ amount }), undo: figure({ amount: amountOf(line) }) };
    }
    case "what": {
      const description = typed.trim();
      if (description === "") return "fault";
      return description === line.description ? null : edit({ description }, { description: line.description });
    }
    case "each": {
      const priceCents = readMoney(typed);
      const before = figures.lines.get(lineId)?.unitPrice ?? 0;
      if (priceCents === null) return "fault";
      return priceCents === before
        ? null
        : { command: figure({ priceCents }), undo: priceBefore(line, before, figure) };
    }
    case "off": {
      const off = readDiscount(typed);
      const before = line.kind === "core" ? undefined : line.off;
      if (off === undefined) return "fault";
      return typedDiscount(off ?? undefined) === typedDiscount(before) ? null : edit({ off }, { off: before ?? null });
    }
    case "cost": {
      const costCents = readMoney(typed);
      if (costCents === null) return "fault";
      return costCents === costOf(line) ? null : edit({ costCents }, { costCents: costOf(line) ?? 0 });
    }
    default:
      return null;
  }
}

/** What gives a line its price back: the rate of the house it was at, its table, or what was typed. */
function priceBefore(
  line: QuoteLine,
  before: number,
  figure: (over: { priceCents: number }) => ClientWorkOrderCommand,
): ClientWorkOrderCommand {
  if (line.kind === "labor" && line.rate) return { type: "chooseRate", lineId: line.id, rateId: line.rate.id };
  if (line.kind === "part" && line.priceCents === null && line.markup !== null)
    return { type: "editLine", lineId: line.id, change: { markup: line.markup } };
  return figure({ priceCents: before });
}
