import { approvalLimitOf, showMoney } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";

/** What is to be signed, as it stands. */
export interface ToSign {
  /** Titles of the jobs that have no answer yet. */
  unanswered: readonly string[];
  signer: string;
  customer: Pick<Customer, "name" | "contacts"> | null;
  isAgreeing: boolean;
  totalCents: number;
  hasSignature: boolean;
}

/** Why it cannot be signed yet, in words for the customer; null: it can. */
export function signFault({
  unanswered,
  signer,
  customer,
  isAgreeing,
  totalCents,
  hasSignature,
}: ToSign): string | null {
  if (unanswered.length > 0)
    return `Please answer ${unanswered.map((title) => title.toLowerCase()).join(", ")} with yes, later or no.`;
  if (signer === "") return "Please give a name with the signature.";
  const limit = customer ? approvalLimitOf(customer, signer) : null;
  if (limit !== null && isAgreeing && totalCents > limit) {
    const most = limit === 0 ? "nothing here" : `up to ${showMoney(limit)}`;
    return `${signer} may agree to ${most}. Please ask ${customer?.name ?? "the customer"}, or put something off.`;
  }
  return hasSignature ? null : "Please sign in the field above.";
}
