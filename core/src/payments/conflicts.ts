import { showMoney } from "../money/money";

/** What a person reads about money that no longer fit when it was taken; `detail` is an amount in cents. */
export const PAYMENT_CONFLICTS = {
  "payment/more-than-owed": (detail: string) =>
    `${showMoney(Number(detail))} more was taken than was owed. The payment is kept; give the difference back.`,
  "payment/charge-unclear": (detail: string) =>
    `Cash was taken while it was not known whether the card was charged ${showMoney(Number(detail))}. Ask the terminal; if it was, give one of the two back.`,
} as const;
export type PaymentConflict = keyof typeof PAYMENT_CONFLICTS;
