import { fold } from "../text/fold";
import type { Contact } from "./details";

export interface Approver {
  name: string;
  /** The largest total they may say yes to; null is any. */
  limitCents: number | null;
}

/** Who may say yes for a customer: they themselves to anything, contacts as far as was agreed. */
export function approversOf({
  name,
  contacts,
}: {
  name: string;
  contacts: readonly Pick<Contact, "name" | "approvalLimitCents">[];
}): Approver[] {
  return [
    { name, limitCents: null },
    ...contacts
      .filter(({ approvalLimitCents }) => approvalLimitCents !== 0)
      .map((contact) => ({ name: contact.name, limitCents: contact.approvalLimitCents })),
  ];
}

/**
 * How much somebody who signs may agree to: a contact what was agreed, 0 for nothing; anybody else is taken at their
 * word, null.
 *
 * @returns Cents.
 */
export function approvalLimitOf(
  { contacts }: { contacts: readonly Pick<Contact, "name" | "approvalLimitCents">[] },
  signer: string,
): number | null {
  const contact = contacts.find(({ name }) => fold(name.trim()) === fold(signer.trim()));
  return contact ? contact.approvalLimitCents : null;
}
