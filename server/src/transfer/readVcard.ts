import ICAL from "ical.js";
import type { ImportField } from "@mechanon/core";

/** The columns a card is laid out in; several of a kind stand side by side. */
export const VCARD_COLUMNS: readonly ImportField[] = [
  "name", "business", "mobilePhone", "mobilePhone", "workPhone", "workPhone", "homePhone", "phone", "phone", "email", "email", "email",
  "street", "town", "region", "postcode", "notes", "contactName", "contactRole",
]; // prettier-ignore

/** Pictures, sounds and keys a card may bring, with the lines they go on in: many times what a person types. */
const MEDIA = /^(?:[\w-]+\.)?(?:PHOTO|LOGO|SOUND|KEY)[;:].*(?:\r?\n[ \t].*)*\r?\n/gim;
/** A card that says more than this is nobody's; reading it would take longer than a whole address book. */
const MOST_CARD_CHARACTERS = 64_000;
/** Of one kind; what is beyond is counted in the notes. */
const MOST_VALUES = 40;

/**
 * The cards of a file, each as a row of VCARD_COLUMNS; a card that cannot be read is a row with what it says as notes.
 * @see RFC 6350, RFC 2426
 */
export function* readVcards(text: string): Generator<string[]> {
  const isBegun = /^BEGIN:VCARD[ \t]*\r?$/gim;
  let from: number | null = null;
  for (let next = isBegun.exec(text); ; next = isBegun.exec(text)) {
    if (from !== null) yield rowOf(text.slice(from, next?.index ?? text.length).trim());
    if (!next) return;
    from = next.index;
  }
}

function rowOf(whole: string): string[] {
  const card = whole.replace(MEDIA, "");
  try {
    if (card.length > MOST_CARD_CHARACTERS) throw new Error(`it has ${card.length} characters`);
    return layOut(
      new ICAL.Component(ICAL.parse(`${card.replace(/\r?\n/g, "\r\n")}\r\n`) as [string, unknown[], unknown[]]),
    );
  } catch (error) {
    return VCARD_COLUMNS.map((column) => (column === "notes" ? `Unreadable card (${error instanceof Error ? error.message : "?"}): ${card.slice(0, 500)}` : "")); // prettier-ignore
  }
}

function layOut(card: ICAL.Component): string[] {
  const cells = new Map<ImportField, string[]>();
  let leftOut = 0;
  const add = (field: ImportField, value: string): void => {
    if (value.trim() === "") return;
    const values = cells.get(field) ?? [];
    if (values.length < MOST_VALUES) values.push(value.trim());
    else leftOut += 1;
    cells.set(field, values);
  };
  const isOrganization = textOf(card.getFirstPropertyValue("kind")).toLowerCase() === "org";
  const organization = [card.getFirstPropertyValue("org")].flat().map(textOf)[0] ?? "";
  const name = textOf(card.getFirstPropertyValue("fn")) || nameFrom(card.getFirstPropertyValue("n"));
  if (isOrganization) add("business", name || organization);
  else {
    add("name", name);
    if (organization !== name) add("business", organization);
  }
  for (const phone of card.getAllProperties("tel")) {
    const types = [phone.getParameter("type") ?? ""].flat().join(" ").toLowerCase();
    const field = /cell/.test(types) ? "mobilePhone" : /work/.test(types) ? "workPhone" : /home/.test(types) ? "homePhone" : "phone"; // prettier-ignore
    add(field, textOf(phone.getFirstValue()).replace(/^tel:/i, "").replace(/;ext=/i, " ext. "));
  }
  for (const email of card.getAllProperties("email")) add("email", textOf(email.getFirstValue()));
  const [address] = card.getAllProperties("adr");
  const parts = address ? [address.getFirstValue()].flat().map((part) => [part].flat().map(textOf).join(" ")) : [];
  for (const [index, field] of [[2, "street"], [3, "town"], [4, "region"], [5, "postcode"]] as const) add(field, parts[index] ?? ""); // prettier-ignore
  for (const note of card.getAllProperties("note")) add("notes", textOf(note.getFirstValue()));
  const [related] = card.getAllProperties("related");
  if (related) {
    add("contactName", textOf(related.getFirstValue()));
    add("contactRole", textOf([related.getParameter("type")].flat()[0]));
  }
  // Each column takes the next value of its kind; what finds no column goes into the notes.
  const row = VCARD_COLUMNS.map((field) => cells.get(field)?.shift() ?? "");
  const left = [...cells.values()].flat();
  const notes = VCARD_COLUMNS.indexOf("notes");
  const more = leftOut > 0 ? `${leftOut} more values of this card were not taken in` : "";
  if (left.length > 0 || more) row[notes] = [row[notes], ...left, more].filter(Boolean).join("\n");
  return row;
}

function nameFrom(structured: unknown): string {
  const [last, first, middle] = [structured].flat().map(textOf);
  return [first, middle, last].filter(Boolean).join(" ");
}

function textOf(value: unknown): string {
  return typeof value === "string"
    ? value
    : typeof value === "number" || typeof value === "boolean"
      ? String(value)
      : "";
}
