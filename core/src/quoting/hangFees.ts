import { v5 as uuidOf } from "uuid";
import { exact, fromTenThousandths } from "../exact/decimal";
import type { MoneyRules } from "./moneyRules";
import type { FeeRule } from "./pricingRules";
import type { QuoteLine } from "./quoteLine";
import type { Job } from "./slice";

/** Fees made from one job and one rule have one id on every device. */
const FEES = "9b0f6d52-5a0e-4f0a-8f5d-1f6f0f6b3c11";

type FeeLine = Extract<QuoteLine, { kind: "fee" }>;

/**
 * A job with the owner's fees that hang on what is in it: a part of a kind, labor, a time after hours. A fee comes with
 * that, counts with it, and goes with it; one that was taken off stays off, one whose price was typed keeps it. What was
 * answered or finished stays as it is.
 */
export function hangFees(job: Job, { fees = [] }: Pick<MoneyRules, "fees">): Job {
  if (fees.length === 0 || job.answer !== null || job.finishedAt !== null) return job;
  const own = job.lines.filter((line) => !isHanging(line, fees));
  const hung = fees.flatMap((rule): FeeLine[] => {
    if (job.feesLeftOut?.includes(rule.id)) return [];
    const quantity = quantityOf(rule, { ...job, lines: own });
    if (quantity === 0) return [];
    const before = job.lines.find((line): line is FeeLine => line.kind === "fee" && line.feeId === rule.id);
    return [
      before
        ? { ...before, ...(before.byHand ? {} : { quantity }), ...priceOf(before, rule) }
        : newFee(job, rule, quantity),
    ];
  });
  const lines = [...own, ...hung];
  const isSame =
    lines.length === job.lines.length && lines.every((line) => job.lines.some((each) => isAlike(each, line)));
  // Where nothing changed each line stays where it was put.
  return isSame ? job : { ...job, lines: inPlace(job.lines, own, hung) };
}

function isHanging(line: QuoteLine, fees: readonly FeeRule[]): boolean {
  return line.kind === "fee" && line.feeId !== undefined && fees.some(({ id }) => id === line.feeId);
}

function quantityOf({ on }: FeeRule, { lines, fit, on: circumstances }: Job): number {
  switch (on.what) {
    case "part": {
      const parts = lines.filter((line) => line.kind === "part" && on.kinds.includes(line.partKind ?? "aftermarket"));
      const count = parts.reduce((sum, line) => sum + (line.kind === "part" ? exact(line.quantity) : 0n), 0n);
      return on.each ? fromTenThousandths(count) : count > 0n ? 1 : 0;
    }
    case "labor":
      return lines.some((line) => line.kind === "labor" && line.hours > 0) ? 1 : 0;
    case "afterHours":
      return ((fit ?? circumstances)?.isAfterHours ?? false) ? 1 : 0;
  }
}

function newFee({ id }: Job, { id: feeId, title, priceCents, isUntaxed }: FeeRule, quantity: number): FeeLine {
  return {
    id: uuidOf(`${id}:${feeId}`, FEES),
    kind: "fee",
    description: title,
    quantity,
    priceCents,
    feeId,
    ...(isUntaxed ? { taxIds: [] } : {}),
  };
}

function priceOf({ priceByHand }: FeeLine, { priceCents }: FeeRule): Partial<FeeLine> {
  return priceByHand ? {} : { priceCents };
}

function isAlike(a: QuoteLine, b: QuoteLine): boolean {
  if (a === b) return true;
  return (
    a.id === b.id && a.kind === "fee" && b.kind === "fee" && a.quantity === b.quantity && a.priceCents === b.priceCents
  );
}

/** Fees that stood there where they stood, new ones at the end. */
function inPlace(before: readonly QuoteLine[], own: readonly QuoteLine[], hung: readonly FeeLine[]): QuoteLine[] {
  const now = new Map([...own, ...hung].map((line) => [line.id, line]));
  const kept = before.flatMap(({ id }) => now.get(id) ?? []);
  return [...kept, ...hung.filter(({ id }) => !before.some((line) => line.id === id))];
}
