import type { Customer } from "@mechanon/contract";

/** The numbers somebody may have told their answer over: a contact's own, else the customer's. */
export function numbersOf(customer: Pick<Customer, "phones" | "contacts"> | null, name: string): string[] {
  if (customer === null) return [];
  const contact = customer.contacts.find((each) => each.name === name);
  if (contact) return contact.phone ? [contact.phone.number] : [];
  return customer.phones.map(({ number }) => number);
}
