import type { ImportField } from "@mechanon/core";

/** So many of a kind a card has room for; what is beyond goes into the notes. */
export const SLOTS = { phones: 10, emails: 6, sites: 6, contacts: 10 } as const;

const times = (count: number, fields: readonly ImportField[]): ImportField[] =>
  Array.from({ length: count }, () => fields).flat();

/** The columns a card is laid out in; those of one phone, place or contact stand beside each other. */
export const VCARD_COLUMNS: readonly ImportField[] = [
  "ownId", "name", "business", "namePrefix", "knownFrom",
  ...times(SLOTS.phones, ["phone", "phoneLabel"]),
  ...times(SLOTS.emails, ["email", "emailLabel"]),
  ...times(SLOTS.sites, ["placeLabel", "street", "streetMore", "poBox", "town", "region", "postcode", "gateCode", "dog", "slope", "heightLimit", "surface", "accessNote"]),
  "billStreet", "billTown", "billRegion", "billPostcode",
  ...times(SLOTS.contacts, ["contactName", "contactRole", "contactPhone", "contactEmail"]),
  "taxExemption", "foundUsBy", "usualPayer", "notes", "leftOver",
]; // prettier-ignore
