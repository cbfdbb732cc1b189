import { approvalLimitOf, approversOf, isSigned, say, showMoney, type Language, type Signature } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";
import type { Answering } from "./useAnswering";

/** What is to be signed, as it stands. */
export interface ToSign extends Pick<Answering, "unanswered" | "isAgreeing"> {
  signer: string;
  strokes: Signature;
  totalCents: number;
}
type Owner = Pick<Customer, "name" | "contacts">;

/** Why it cannot be signed yet, in words for the customer; null: it can. @param owner - null: not known here. */
export function signFault(
  language: Language,
  { unanswered, signer, strokes, isAgreeing }: ToSign,
  owner: Owner | null,
): string | null {
  if (unanswered.length > 0)
    return say(language, "answer.pleaseAnswer", { titles: unanswered.map((title) => title.toLowerCase()).join(", ") });
  if (signer === "") return say(language, "answer.pleaseName");
  if (isAgreeing && owner && approvalLimitOf(owner, signer) === 0)
    return say(language, "answer.mayNot", { name: signer, owner: owner.name });
  return isSigned(strokes) ? null : say(language, "answer.pleaseSign");
}

/** Whose yes is needed beside that of who signs, and how far theirs goes; null: nobody's. */
export function alsoNeeded(
  { signer, totalCents, isAgreeing }: Pick<ToSign, "signer" | "totalCents" | "isAgreeing">,
  owner: Owner | null,
): { name: string; limit: string } | null {
  const limit = owner && isAgreeing ? approvalLimitOf(owner, signer) : null;
  if (!owner || limit === null || totalCents <= limit) return null;
  return { name: owner.name, limit: showMoney(limit) };
}

/** Who may sign, by name. */
export function signersOf(owner: Owner | null): string[] {
  return owner ? approversOf(owner).map(({ name }) => name) : [];
}
