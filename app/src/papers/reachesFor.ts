import { showPhone, type Paper } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";

/** Where a paper can be sent with one touch: a quote to its customer and their contacts, a sheet to nobody of theirs. */
export function reachesFor(paper: Paper, customer: Customer | null): { value: string; label: string }[] {
  if (paper !== "quote" || customer === null) return [];
  const { phones, emails, contacts } = customer;
  const own = [
    ...phones
      .filter(({ extension }) => extension === null)
      .map(({ number }) => ({ value: showPhone(number), label: showPhone(number) })),
    ...emails.map(({ address }) => ({ value: address, label: address })),
  ];
  const theirs = contacts.flatMap(({ name, phone, email }) => [
    ...(phone && phone.extension === null
      ? [{ value: showPhone(phone.number), label: `${name}, ${showPhone(phone.number)}` }]
      : []),
    ...(email ? [{ value: email, label: `${name}, ${email}` }] : []),
  ]);
  const seen = new Set<string>();
  return [...own, ...theirs].filter(({ value }) => !seen.has(value) && Boolean(seen.add(value)));
}
