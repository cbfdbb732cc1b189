import { showMoney } from "../money/money";

/** The text a customer gets when the mechanic sets off. @param minutes - till arrival. */
export function onMyWayText(business: string, mechanic: string, minutes: number): string {
  return `${business}: ${mechanic} is on the way and will be with you in about ${minutes} minutes.`;
}

/** The text a customer gets with the link to the receipt. @param paidCents - so far. */
export function receiptText(business: string, paidCents: number, link: string): string {
  return `${business}: thank you, ${showMoney(paidCents)} paid. Your receipt: ${link}`;
}

/** The text that asks a customer for another time. @param from, to - moments as they are written. */
export function newTimeText(
  business: string,
  { why, from, to, link }: { why: string; from: string; to: string; link: string },
): string {
  return `${business}: ${why} on ${from}, and your job needs it dry. Could we come ${to} instead? Please say yes or no here: ${link}`;
}
