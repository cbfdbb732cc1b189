import { showPhone } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";
import type { Line } from "./csv";

/** How many phones, emails, places and contacts the customers of a file have at the most. */
export interface Widths {
  phones: number;
  emails: number;
  sites: number;
  contacts: number;
}

const nth = (index: number): string => (index === 0 ? "" : ` ${index + 1}`);
const repeat = (count: number, headings: (suffix: string) => string[]): string[] =>
  Array.from({ length: count }, (_, index) => headings(nth(index))).flat();

/** The headings of a file of customers; an import knows them, so that all of it comes back. */
export function customerHeadings({ phones, emails, sites, contacts }: Widths): string[] {
  return [
    "Mechanon id",
    "Name",
    "Business",
    "Known from",
    ...repeat(phones, (n) => [`Phone${n}`, `Phone${n} label`]),
    ...repeat(emails, (n) => [`Email${n}`, `Email${n} label`]),
    ...repeat(sites, (n) => [
      `Site${n}`,
      `Site${n} street`,
      `Site${n} town`,
      `Site${n} state`,
      `Site${n} postcode`,
      `Site${n} gate code`,
      `Site${n} dog`,
      `Site${n} slope`,
      `Site${n} height limit`,
      `Site${n} surface`,
      `Site${n} access`,
    ]),
    "Billing street",
    "Billing town",
    "Billing state",
    "Billing postcode",
    ...repeat(contacts, (n) => [`Contact${n}`, `Contact${n} role`, `Contact${n} phone`, `Contact${n} email`]),
    "Tax exemption",
    "Found us by",
    "Usual payer",
    "Notes",
  ];
}

/** A customer under those headings. */
export function customerLine(customer: Customer, { phones, emails, sites, contacts }: Widths): Line {
  const { id, kind, name, knownFrom, billingAddress, taxExemption, foundUsBy, usualPayer, notes } = customer;
  const isBusiness = kind === "business";
  const cells = <T>(items: readonly T[], count: number, of: (item: T | undefined) => Line): Line =>
    Array.from({ length: count }, (_, index) => of(items[index])).flat();
  return [
    id,
    isBusiness ? "" : name,
    isBusiness ? name : "",
    knownFrom,
    ...cells(customer.phones, phones, (phone) => [phone && showPhone(phone.number, phone.extension), phone?.label]),
    ...cells(customer.emails, emails, (email) => [email?.address, email?.label]),
    ...cells(customer.serviceAddresses, sites, (site) => [
      site?.label,
      site?.place.street,
      site?.place.town,
      site?.place.region,
      site?.place.postcode,
      site?.access.gateCode,
      site?.access.dog,
      site?.access.slope,
      site?.access.heightLimit,
      site?.access.surface,
      site?.access.note,
    ]),
    billingAddress?.street,
    billingAddress?.town,
    billingAddress?.region,
    billingAddress?.postcode,
    ...cells(customer.contacts, contacts, (contact) => [
      contact?.name,
      contact?.role,
      contact?.phone && showPhone(contact.phone.number, contact.phone.extension),
      contact?.email,
    ]),
    taxExemption?.number,
    foundUsBy,
    usualPayer?.name,
    notes,
  ];
}
