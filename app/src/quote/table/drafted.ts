import { amountOf, readMoney, type QuoteLine, type WorkOrderState } from "@mechanon/core";
import { readDiscount } from "../discountWords";
import { readAmount } from "../readAmount";
import type { Column, TableRow } from "./rows";

/** The quote as it would be with what is being typed in a cell, so that its total is seen at each key. */
export function drafted(
  state: WorkOrderState,
  row: TableRow | undefined,
  column: Column,
  typed: string | null,
): WorkOrderState {
  if (typed === null || row?.kind !== "line") return state;
  const next = draftedLine(row.line, column, typed);
  if (next === null) return state;
  const jobs = state.jobs.map((job) =>
    job.id === row.job.id ? { ...job, lines: job.lines.map((line) => (line.id === row.line.id ? next : line)) } : job,
  );
  return { ...state, jobs };
}

function draftedLine(line: QuoteLine, column: Column, typed: string): QuoteLine | null {
  switch (column) {
    case "amount": {
      const amount = readAmount(typed);
      if (amount === null || amount === amountOf(line) || line.kind === "sublet") return null;
      return line.kind === "labor" ? { ...line, hours: amount } : { ...line, quantity: amount };
    }
    case "each": {
      const cents = readMoney(typed);
      if (cents === null || line.kind === "sublet") return null;
      return line.kind === "labor" ? { ...line, rateCents: cents } : { ...line, priceCents: cents };
    }
    case "off": {
      const off = readDiscount(typed);
      if (off === undefined || line.kind === "core") return null;
      const { off: _before, ...kept } = line;
      return off === null ? kept : { ...kept, off };
    }
    case "cost": {
      const costCents = readMoney(typed);
      return costCents === null || (line.kind !== "part" && line.kind !== "sublet") ? null : { ...line, costCents };
    }
    default:
      return null;
  }
}
