import { inZone, showMoney } from "@mechanon/core";
import type { ReceiptView } from "@mechanon/contract";

/** How a payment is told on a receipt. @example "Cash, Nov 23, $100.00 given, $12.88 back" */
export function paymentWords(
  { method, at, amountCents, tenderedCents, card }: ReceiptView["payments"][number],
  zone: string,
): string {
  const day = inZone(at, zone).setLocale("en-US").toFormat("LLL d");
  if (method === "card") return `Card ending ${card?.lastFour ?? "?"}, ${day}`;
  const back = (tenderedCents ?? amountCents) - amountCents;
  return back > 0 ? `Cash, ${day}, ${showMoney(tenderedCents ?? 0)} given, ${showMoney(back)} back` : `Cash, ${day}`;
}
