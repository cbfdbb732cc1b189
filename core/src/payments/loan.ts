import { z } from "zod";
import { CalcError } from "../calc/error";
import { asCode, centsField, decimalField } from "../calc/fields";
import { parseInput } from "../calc/parse";
import { exact, roundRatio } from "../exact/decimal";

const loanInput = z.strictObject({
  amount: centsField,
  aprPercent: decimalField,
  months: z
    .number()
    .refine((value) => value >= 0, { ...asCode("negative", "must not be negative"), abort: true })
    .refine((value) => Number.isInteger(value), { ...asCode("not-whole", "must be a whole number"), abort: true })
    .refine((value) => value >= 1 && value <= 600, asCode("out-of-range", "must be from 1 to 600")),
});

export interface LoanMonth {
  number: number;
  payment: number;
  interest: number;
  balance: number;
}
/** A loan paid back in level monthly payments; all money in whole cents. */
export interface LoanPlan {
  payment: number;
  lastPayment: number;
  totalPaid: number;
  totalInterest: number;
  schedule: LoanMonth[];
}

/** Ten-thousandths of a percent a year to a share a month. */
const RATE_SCALE = 12_000_000n;

/**
 * Level monthly payments with the whole schedule; the last payment clears the balance.
 *
 * @param raw - `amount` in cents, `aprPercent` with at most 4 decimals, `months` 1..600.
 * @throws {CalcError} with code and path for anything that does not fit.
 * @see calculations.md, loan
 */
export function planLoan(raw: unknown): LoanPlan {
  const { amount, aprPercent, months } = parseInput(loanInput, raw);
  const rate = exact(aprPercent);
  const payment = levelPayment(BigInt(amount), rate, months);
  const schedule: LoanMonth[] = [];
  let balance = BigInt(amount);
  for (let number = 1; number <= months; number++) {
    const interest = roundRatio(balance * rate, RATE_SCALE);
    const owed = balance + interest;
    const paid = number === months || payment > owed ? owed : payment;
    balance = owed - paid;
    schedule.push({ number, payment: cents(paid), interest: cents(interest), balance: cents(balance) });
  }
  return {
    payment: cents(payment),
    lastPayment: schedule[schedule.length - 1]?.payment ?? 0,
    totalPaid: cents(schedule.reduce((sum, month) => sum + BigInt(month.payment), 0n)),
    totalInterest: cents(schedule.reduce((sum, month) => sum + BigInt(month.interest), 0n)),
    schedule,
  };
}

function levelPayment(amount: bigint, rate: bigint, months: number): bigint {
  if (rate === 0n) return roundRatio(amount, BigInt(months));
  const grown = (RATE_SCALE + rate) ** BigInt(months);
  return roundRatio(amount * rate * grown, RATE_SCALE * (grown - RATE_SCALE ** BigInt(months)));
}

function cents(value: bigint): number {
  const number = Number(value);
  if (!Number.isSafeInteger(number))
    throw new CalcError("out-of-range", "the amounts are too large to add up exactly", "");
  return number;
}
