import { z } from "zod";
import type { CommandContext } from "../commands/context";
import { cents, uuid, words } from "../commands/fields";
import { ruleFor } from "../commands/rule";
import { markConflict } from "../conflicts/markConflict";
import type { ConflictSlice } from "../conflicts/slice";
import type { QuoteSlice } from "../quoting/slice";
import { balanceOf } from "./balance";
import type { PaymentConflict } from "./conflicts";
import type { Payment, PaymentSlice } from "./slice";

const takeCash = z
  .strictObject({
    type: z.literal("takeCash"),
    paymentId: uuid,
    amountCents: cents.min(1),
    tenderedCents: cents.min(1),
  })
  .refine((cash) => cash.tenderedCents >= cash.amountCents, {
    message: "less was handed over than is taken",
    path: ["tenderedCents"],
  });

/** What the server records after the terminal answered. */
const recordCardPayment = z.strictObject({
  type: z.literal("recordCardPayment"),
  paymentId: uuid,
  amountCents: cents,
  lastFour: words(4),
  authorization: words(40),
});
const recordCardDecline = z.strictObject({
  type: z.literal("recordCardDecline"),
  paymentId: uuid,
  amountCents: cents,
  reason: words(200),
});

type Reads = PaymentSlice & QuoteSlice & ConflictSlice;
type Writes = PaymentSlice & ConflictSlice;
/** What cash is taken with. */
export interface PaymentContext extends CommandContext {
  /** What the card terminal was asked to charge and has not said whether it did; left out where it does not matter. */
  unclearChargeCents?: number;
}

const rule = ruleFor<Reads, Writes, PaymentContext>();

export const paymentRules = {
  takeCash: rule({
    schema: takeCash,
    kind: "fact",
    needs: ["charges"],
    apply: takeCashFor,
  }),
  recordCardPayment: rule({
    schema: recordCardPayment,
    kind: "fact",
    source: "server",
    apply: (state, { paymentId: id, amountCents, ...card }, context) => {
      const { lastFour, authorization } = card;
      const taken = { ...by(context), id, amountCents, method: "card", status: "taken" } as const;
      return record(state, { ...taken, card: { lastFour, authorization } }, context);
    },
  }),
  recordCardDecline: rule({
    schema: recordCardDecline,
    kind: "fact",
    source: "server",
    apply: (state, { paymentId: id, amountCents, reason }, context) =>
      record(state, { ...by(context), id, amountCents, method: "card", status: "declined", reason }, context),
  }),
};

/** Cash is taken whatever the terminal is about to say; where both may be more than is owed, a mark says so. */
function takeCashFor(state: Reads, cash: z.output<typeof takeCash>, context: PaymentContext): Partial<Writes> {
  const { paymentId: id, amountCents, tenderedCents } = cash;
  const unclearCents = context.unclearChargeCents ?? 0;
  const payment = { ...by(context), id, amountCents, method: "cash", status: "taken", tenderedCents } as const;
  const changes = record(state, payment, context);
  if (changes.payments === undefined || unclearCents === 0) return changes;
  if (amountCents + unclearCents <= balanceOf(state).dueCents) return changes;
  const code: PaymentConflict = "payment/charge-unclear";
  const before = changes.conflicts ?? state.conflicts;
  return { ...changes, conflicts: markConflict(before, code, String(unclearCents), context) };
}

function by({ at, actor }: CommandContext): Pick<Payment, "at" | "by" | "tenderedCents" | "card" | "reason"> {
  return { at, by: actor.id, tenderedCents: null, card: null, reason: null };
}

/** Money beyond what is owed is kept and marked; the same payment again changes nothing. */
function record(state: Reads, payment: Payment, context: CommandContext): Partial<Writes> {
  if (state.payments.some(({ id, status }) => id === payment.id && status === "taken")) return {};
  const payments = [...state.payments, payment];
  const tooMuch = payment.status === "taken" ? payment.amountCents - balanceOf(state).dueCents : 0;
  if (tooMuch <= 0) return { payments };
  const code: PaymentConflict = "payment/more-than-owed";
  return { payments, conflicts: markConflict(state.conflicts, code, String(tooMuch), context) };
}
