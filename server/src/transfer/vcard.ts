import ICAL from "ical.js";
import { mainPlace } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";

/** A customer as a card. @see RFC 6350 */
export function toVcard(customer: Customer): string {
  const { id, kind, name, phones, emails, contacts, notes } = customer;
  const card = new ICAL.Component(["vcard", [], []]);
  card.updatePropertyWithValue("version", "4.0");
  card.updatePropertyWithValue("uid", `urn:uuid:${id}`);
  card.updatePropertyWithValue("kind", kind === "business" ? "org" : "individual");
  card.updatePropertyWithValue("fn", ownLines(name));
  if (kind === "business") card.updatePropertyWithValue("org", ownLines(name));
  for (const { number, extension, label } of phones)
    add(card, "tel", `tel:${number}${extension === null ? "" : `;ext=${extension}`}`, {
      value: "uri",
      type: phoneType(label),
    });
  for (const { address } of emails) add(card, "email", address, {});
  const place = mainPlace(customer);
  if (place) add(card, "adr", ["", "", place.street, place.town, place.region, place.postcode, ""], {});
  for (const contact of contacts)
    add(card, "related", contact.name, { value: "text", type: /spouse/i.test(contact.role) ? "spouse" : "contact" });
  if (notes !== "") add(card, "note", notes, {});
  return `${card.toString()}\r\n`;
}

function add(card: ICAL.Component, name: string, value: string | string[], parameters: Record<string, string>): void {
  const property = new ICAL.Property(name);
  if (parameters.value === "uri") property.resetType("uri");
  if (parameters.value === "text") property.resetType("text");
  for (const [key, parameter] of Object.entries(parameters))
    if (parameter !== "") property.setParameter(key, parameter);
  property.setValue(typeof value === "string" ? ownLines(value) : value.map(ownLines));
  card.addProperty(property);
}

/** A line end of any kind is written as the escaped one: left bare it would end the property, and the card with it. */
const ownLines = (value: string): string => value.replace(/\r\n?|[\u0085\u2028\u2029\v\f]/g, "\n");

function phoneType(label: string): string {
  if (/mobile|cell/i.test(label)) return "cell";
  if (/work|office/i.test(label)) return "work";
  return /home/i.test(label) ? "home" : "voice";
}
