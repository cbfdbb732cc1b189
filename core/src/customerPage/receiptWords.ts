import type { z } from "zod";
import { showDateIn } from "../languages/momentIn";
import type { Language } from "../languages/language";
import { showMoney } from "../money/money";
import type { receiptContent } from "../payments/receipt";
import { say } from "../customerWords/say";

type ReceiptPayment = z.infer<typeof receiptContent>["payments"][number];

/** How a payment is told on a receipt. @param isPaper - on paper the authorization of a card stands, too. */
export function paymentWords(
  language: Language,
  { method, at, amountCents, tenderedCents, card }: ReceiptPayment,
  zone: string,
  isPaper = false,
): string {
  const day = showDateIn(language, at, zone);
  if (method === "card") {
    const values = { digits: card?.lastFour ?? "?", code: card?.authorization ?? "?", day };
    return say(language, isPaper ? "receipt.cardAuthorized" : "receipt.card", values);
  }
  const back = (tenderedCents ?? amountCents) - amountCents;
  return back > 0
    ? say(language, "receipt.cashBack", { day, given: showMoney(tenderedCents ?? 0), back: showMoney(back) })
    : say(language, "receipt.cash", { day });
}

/** What a diagnosis takes off the repair it led to. @example creditWords("en", 13800) //=> "Less $138.00 of the diagnosis" */
export function creditWords(language: Language, cents: number): string {
  return say(language, "receipt.credit", { amount: showMoney(cents) });
}
