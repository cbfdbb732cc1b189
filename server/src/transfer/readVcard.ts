import ICAL from "ical.js";
import type { ImportField } from "@mechanon/core";
import { SLOTS, VCARD_COLUMNS } from "./vcardColumns";
import { plainCard } from "./vcardText";

/** A card that says more than this is nobody's; reading it would take longer than a whole address book. */
const MOST_CARD_CHARACTERS = 64_000;
/** Of what finds no column; what is beyond is counted. */
const MOST_LEFT_OVER = 40;
/** What is about the card itself, or read from elsewhere in it. */
const NOT_TOLD = new Set(["version", "prodid", "rev", "kind", "n", "fn", "org", "title", "role", "uid", "tel", "email", "adr", "note", "related", "label", "sort-string", "class", "categories", "photo", "logo"]); // prettier-ignore

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
  const { text, odd } = plainCard(whole);
  try {
    if (text.length > MOST_CARD_CHARACTERS) throw new Error(`it has ${text.length} characters`);
    return layOut(new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]]), odd);
  } catch (error) {
    return VCARD_COLUMNS.map((column) =>
      column === "notes"
        ? `Unreadable card (${error instanceof Error ? error.message : "?"}): ${text.slice(0, 500)}`
        : "",
    );
  }
}

/** What was read of a card, by the columns it goes to. */
class Cells {
  private readonly byField = new Map<ImportField, string[]>();
  private readonly leftOver: string[] = [];

  put(field: ImportField, values: readonly string[]): void {
    this.byField.set(field, [...values]);
  }
  leave(...values: string[]): void {
    this.leftOver.push(...values.filter((value) => value.trim() !== ""));
  }
  row(): string[] {
    const more = this.leftOver.length - MOST_LEFT_OVER;
    this.put("leftOver", [
      [
        ...this.leftOver.slice(0, MOST_LEFT_OVER),
        ...(more > 0 ? [`${more} more values of this card were not taken in`] : []),
      ].join("\n"),
    ]);
    const taken = new Map<ImportField, number>();
    return VCARD_COLUMNS.map((field) => {
      const place = taken.get(field) ?? 0;
      taken.set(field, place + 1);
      return (this.byField.get(field)?.[place] ?? "").trim();
    });
  }
  /** Puts records of several columns beside each other; those beyond the room there is are left over. */
  records(most: number, records: readonly Partial<Record<ImportField, string>>[]): void {
    const fields = [...new Set(records.flatMap((record) => Object.keys(record) as ImportField[]))];
    for (const field of fields)
      this.put(
        field,
        records.slice(0, most).map((record) => record[field] ?? ""),
      );
    for (const record of records.slice(most)) this.leave(Object.values(record).filter(Boolean).join(", "));
  }
}

function layOut(card: ICAL.Component, odd: readonly string[]): string[] {
  const cells = new Cells();
  const groups = groupsOf(card);
  const first = (name: string): string => textOf(card.getFirstPropertyValue(name));
  const isOrganization = first("kind").toLowerCase() === "org";
  const organization = [card.getFirstPropertyValue("org")].flat().map(textOf)[0] ?? "";
  const name = first("fn") || nameFrom(card.getFirstPropertyValue("n"));
  if (isOrganization) cells.put("business", [name || organization]);
  else {
    cells.put("name", [name]);
    if (organization !== name) cells.put("business", [organization]);
  }
  cells.put("namePrefix", [first("title") || first("role")]);
  cells.put("ownId", [/^urn:uuid:/i.test(first("uid")) ? first("uid") : ""]);
  for (const [property, field] of OWN) cells.put(field, [first(property)]);
  cells.records(
    SLOTS.phones,
    card.getAllProperties("tel").map((property) => ({
      phone: textOf(property.getFirstValue()).replace(/^tel:/i, "").replace(/;ext=/i, " ext. "),
      phoneLabel: labelOf(property, groups, PHONE_TYPES),
    })),
  );
  cells.records(
    SLOTS.emails,
    card
      .getAllProperties("email")
      .map((property) => ({ email: textOf(property.getFirstValue()), emailLabel: labelOf(property, groups, []) })),
  );
  const addresses = card.getAllProperties("adr");
  const isBilling = (property: ICAL.Property): boolean => typesOf(property).includes("x-billing");
  cells.records(
    SLOTS.sites,
    addresses.filter((each) => !isBilling(each)).map((each) => siteOf(each, groups)),
  );
  const [billing] = addresses.filter(isBilling).map((each) => siteOf(each, groups));
  if (billing) for (const [field, part] of BILLING) cells.put(field, [billing[part] ?? ""]);
  cells.records(
    SLOTS.contacts,
    card.getAllProperties("related").map((each) => contactOf(each, groups)),
  );
  cells.put("notes", [
    card
      .getAllProperties("note")
      .map((note) => textOf(note.getFirstValue()))
      .join("\n"),
  ]);
  for (const property of card.getAllProperties()) {
    const key = property.name;
    if (NOT_TOLD.has(key) || key.startsWith("x-") || OWN.some(([own]) => own === key)) continue;
    cells.leave(`${key.toUpperCase()}: ${[property.getFirstValue()].flat(2).map(textOf).filter(Boolean).join(" ")}`);
  }
  cells.leave(...odd);
  return cells.row();
}

/** What our own cards say beyond the standard. */
const OWN: readonly [property: string, field: ImportField][] = [
  ["x-known-from", "knownFrom"],
  ["x-tax-exemption", "taxExemption"],
  ["x-found-us-by", "foundUsBy"],
  ["x-usual-payer", "usualPayer"],
];
const BILLING: readonly [ImportField, ImportField][] = [
  ["billStreet", "street"],
  ["billTown", "town"],
  ["billRegion", "region"],
  ["billPostcode", "postcode"],
];
const ACCESS: readonly [property: string, field: ImportField][] = [
  ["x-gate-code", "gateCode"],
  ["x-dog", "dog"],
  ["x-slope", "slope"],
  ["x-height-limit", "heightLimit"],
  ["x-surface", "surface"],
  ["x-access", "accessNote"],
];
const PHONE_TYPES: readonly [RegExp, string][] = [
  [/\bcell\b|\bmobile\b/, "Mobile"],
  [/\bwork\b/, "Work"],
  [/\bhome\b/, "Home"],
];

type Groups = ReadonlyMap<string, ReadonlyMap<string, string>>;

/** What else is said in the group of a property: its label, the codes of its gate. */
function groupsOf(card: ICAL.Component): Groups {
  const groups = new Map<string, Map<string, string>>();
  for (const property of card.getAllProperties()) {
    const group = groupOf(property);
    if (group === "" || !property.name.startsWith("x-")) continue;
    const said = groups.get(group) ?? new Map<string, string>();
    said.set(property.name, textOf(property.getFirstValue()));
    groups.set(group, said);
  }
  return groups;
}

function groupOf(property: ICAL.Property): string {
  return [property.getParameter("group") ?? ""].flat().join("").toLowerCase();
}

function typesOf(property: ICAL.Property): string {
  return [property.getParameter("type") ?? ""].flat().join(" ").toLowerCase();
}

/** A label a person gave, in the group of the property or as its parameter; else its type in words. */
function labelOf(property: ICAL.Property, groups: Groups, types: readonly [RegExp, string][]): string {
  const said = groups.get(groupOf(property));
  const grouped = [...(said ?? [])].find(([name]) => name.endsWith("label"))?.[1] ?? "";
  // Some wrap labels of their own in signs.
  const given = (grouped || textOf(property.getParameter("x-label"))).replace(/^_\$!<(.*)>!\$_$/, "$1");
  return given || (types.find(([pattern]) => pattern.test(typesOf(property)))?.[1] ?? "");
}

function siteOf(property: ICAL.Property, groups: Groups): Partial<Record<ImportField, string>> {
  const [box = "", more = "", street = "", town = "", region = "", postcode = "", country = ""] = [
    property.getFirstValue(),
  ]
    .flat()
    .map((part) => [part].flat().map(textOf).filter(Boolean).join(", "));
  const said = groups.get(groupOf(property));
  const isHome = /^(?:us|usa|united states.*|)$/i.test(country.trim());
  return {
    placeLabel: labelOf(property, groups, []),
    street: street.replace(/\n/g, ", "),
    streetMore: [more, isHome ? "" : country].filter(Boolean).join(", "),
    poBox: box,
    town,
    region,
    postcode,
    ...Object.fromEntries(ACCESS.map(([name, field]) => [field, said?.get(name) ?? ""])),
  };
}

function contactOf(property: ICAL.Property, groups: Groups): Partial<Record<ImportField, string>> {
  const said = groups.get(groupOf(property));
  return {
    contactName: textOf(property.getFirstValue()),
    contactRole: said?.get("x-role") ?? (typesOf(property) === "spouse" ? "Spouse" : ""),
    contactPhone: said?.get("x-tel") ?? "",
    contactEmail: said?.get("x-email") ?? "",
  };
}

function nameFrom(structured: unknown): string {
  const [last, first, middle, prefix, suffix] = [structured].flat().map((part) => [part].flat().map(textOf).join(" "));
  return [prefix, first, middle, last, suffix].filter(Boolean).join(" ");
}

function textOf(value: unknown): string {
  return typeof value === "string"
    ? value
    : typeof value === "number" || typeof value === "boolean"
      ? String(value)
      : "";
}
