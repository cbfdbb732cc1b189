import ICAL from "ical.js";
import type { Contact, Place, ServiceAddress } from "@mechanon/core";
import { showPhone } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";

/** A customer as a card. What the standard has no word for stands in properties of our own, which others pass over. @see RFC 6350 */
export function toVcard(customer: Customer): string {
  const { id, kind, name, phones, emails, contacts, notes } = customer;
  const card = new ICAL.Component(["vcard", [], []]);
  card.updatePropertyWithValue("version", "4.0");
  card.updatePropertyWithValue("uid", `urn:uuid:${id}`);
  card.updatePropertyWithValue("kind", kind === "business" ? "org" : "individual");
  card.updatePropertyWithValue("fn", ownLines(name));
  if (kind === "business") card.updatePropertyWithValue("org", ownLines(name));
  phones.forEach(({ number, extension, label }, index) => {
    const type = phoneType(label);
    const group = TYPED_LABELS[type] === label ? "" : `phone${index + 1}`;
    add(card, "tel", `tel:${number}${extension === null ? "" : `;ext=${extension}`}`, { value: "uri", group, type });
    if (group !== "") addLabel(card, label, group);
  });
  emails.forEach(({ address, label }, index) => {
    const group = label === "" ? "" : `email${index + 1}`;
    add(card, "email", address, { group });
    addLabel(card, label, group);
  });
  customer.serviceAddresses.forEach((site, index) => addSite(card, site, `site${index + 1}`));
  if (customer.billingAddress) addPlace(card, customer.billingAddress, { type: "x-billing" });
  contacts.forEach((contact, index) => addContact(card, contact, `contact${index + 1}`));
  for (const [property, value] of [
    ["x-known-from", customer.knownFrom],
    ["x-tax-exemption", customer.taxExemption?.number ?? ""],
    ["x-found-us-by", customer.foundUsBy ?? ""],
    ["x-usual-payer", customer.usualPayer?.name ?? ""],
    ["note", notes],
  ] as const)
    if (value !== "") add(card, property, value, property === "note" ? {} : TEXT);
  return `${card.toString()}\r\n`;
}

const TEXT = { value: "text" } as const;

function addSite(card: ICAL.Component, { label, place, access }: ServiceAddress, group: string): void {
  addPlace(card, place, { group });
  addLabel(card, label, group);
  for (const [property, value] of [
    ["x-gate-code", access.gateCode],
    ["x-dog", access.dog],
    ["x-slope", access.slope],
    ["x-height-limit", access.heightLimit],
    ["x-surface", access.surface],
    ["x-access", access.note],
  ] as const)
    if (value !== "") add(card, property, value, { group, ...TEXT });
}

function addPlace(card: ICAL.Component, place: Place, parameters: Record<string, string>): void {
  add(card, "adr", ["", "", place.street, place.town, place.region, place.postcode, ""], parameters);
}

function addContact(card: ICAL.Component, { name, role, phone, email }: Contact, group: string): void {
  add(card, "related", name, { group, type: /spouse/i.test(role) ? "spouse" : "contact", ...TEXT });
  for (const [property, value] of [
    ["x-role", role],
    ["x-tel", phone ? showPhone(phone.number, phone.extension) : ""],
    ["x-email", email ?? ""],
  ] as const)
    if (value !== "") add(card, property, value, { group, ...TEXT });
}

/** A label of one's own, beside what it is of: a parameter could not hold every sign. */
function addLabel(card: ICAL.Component, label: string, group: string): void {
  if (label !== "") add(card, "x-label", label, { group, ...TEXT });
}

/** Labels the type of a phone says as well. */
const TYPED_LABELS: Readonly<Record<string, string>> = { cell: "Mobile", work: "Work", home: "Home", voice: "" };

function add(card: ICAL.Component, name: string, value: string | string[], parameters: Record<string, string>): void {
  const property = new ICAL.Property(name);
  if (parameters.value === "uri") property.resetType("uri");
  if (parameters.value === "text") property.resetType("text");
  for (const [key, parameter] of Object.entries(parameters))
    // The type of a text is written by itself.
    if (parameter !== "" && parameter !== "text") property.setParameter(key, parameter);
  property.setValue(typeof value === "string" ? ownLines(value) : value.map((part) => apart(ownLines(part))));
  card.addProperty(property);
}

/** A line end of any kind is written as the escaped one: left bare it would end the property, and the card with it. */
const ownLines = (value: string): string => value.replace(/\r\n?|[\u0085\u2028\u2029\v\f]/g, "\n");

/** The reader's library takes a backslash before a semicolon for an escape of it, whatever stands before. */
const apart = (part: string): string => part.replace(/\\(?=;|$)/g, "\\ ");

function phoneType(label: string): string {
  if (/mobile|cell/i.test(label)) return "cell";
  if (/work|office/i.test(label)) return "work";
  return /home/i.test(label) ? "home" : "voice";
}
