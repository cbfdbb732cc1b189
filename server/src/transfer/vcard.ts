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
  card.updatePropertyWithValue("fn", name);
  if (kind === "business") card.updatePropertyWithValue("org", name);
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
  property.setValue(value);
  card.addProperty(property);
}

function phoneType(label: string): string {
  if (/mobile|cell/i.test(label)) return "cell";
  if (/work|office/i.test(label)) return "work";
  return /home/i.test(label) ? "home" : "voice";
}
