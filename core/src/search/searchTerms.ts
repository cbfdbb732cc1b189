import type { CustomerDetails } from "../customers/details";
import { nameSpellings } from "../customers/nameSpellings";
import { streetKey } from "../customers/street";
import { phoneKeys, vinKeys } from "./searchQuery";
import { wordsOf } from "../text/words";

/** Where a word of a customer stands; the lower, the more it says when it is found. */
export const WORD_FIELDS = ["name", "contact", "email", "street", "car"] as const;
export type WordField = (typeof WORD_FIELDS)[number];
export const KEY_KINDS = ["phone", "email", "plate", "vin", "street"] as const;
export type KeyKind = (typeof KEY_KINDS)[number];

/** What of a customer is searched. */
export interface SearchedCustomer extends Pick<
  CustomerDetails,
  "knownFrom" | "phones" | "emails" | "contacts" | "serviceAddresses" | "billingAddress"
> {
  name: string;
  kind: "person" | "business";
  /** The name in other letters, and those of contacts. */
  alsoNamed?: { name: readonly string[]; contacts: readonly string[] };
}
export interface SearchedVehicle {
  id: string;
  vin: string | null;
  plateKey: string | null;
  make: string | null;
  model: string | null;
  color: string | null;
  unitNumber?: string | null;
  nickname?: string | null;
}
export interface SearchTerms {
  words: { word: string; field: WordField }[];
  keys: { kind: KeyKind; key: string; vehicleId: string | null }[];
}

/** All a customer is found by. */
export function searchTerms(customer: SearchedCustomer, vehicles: readonly SearchedVehicle[]): SearchTerms {
  const words = new Map<string, WordField>();
  // The first field a word is met in counts; fields come in the order of what they say.
  const add = (field: WordField, texts: readonly string[]): void => {
    for (const word of texts.flatMap(wordsOf)) if (!words.has(word)) words.set(word, field);
  };
  const keys = new Map<string, SearchTerms["keys"][number]>();
  const addKey = (kind: KeyKind, key: string, vehicleId: string | null = null): void => {
    if (key !== "") keys.set(`${kind} ${key} ${vehicleId ?? ""}`, { kind, key, vehicleId });
  };
  const { phones, emails, contacts, serviceAddresses, billingAddress } = customer;
  const places = [...serviceAddresses.map(({ place }) => place), ...(billingAddress ? [billingAddress] : [])];
  const also = customer.alsoNamed ?? { name: [], contacts: [] };
  add("name", [
    customer.name,
    ...also.name,
    ...nameSpellings(customer.name),
    ...(customer.kind === "business" ? [runTogether(customer.name)] : []),
  ]);
  add("contact", [
    customer.knownFrom,
    ...also.contacts,
    ...contacts.flatMap(({ name }) => [name, ...nameSpellings(name)]),
  ]);
  const addresses = [...emails.map(({ address }) => address), ...contacts.map(({ email }) => email ?? "")];
  // What stands after the @ is mostly somebody else's name; it is found as part of the whole address.
  add(
    "email",
    addresses.map((address) => address.split("@")[0] ?? ""),
  );
  add(
    "street",
    places.map(({ street, town, postcode }) => `${street} ${town} ${postcode}`),
  );
  add(
    "car",
    vehicles.flatMap(({ make, model, color, unitNumber, nickname }) => [
      ...[make, model, color, nickname].map((text) => text ?? ""),
      ...(unitNumber ? [`unit ${unitNumber}`] : []),
      // "CRV" for a CR-V.
      ...nameSpellings(model ?? ""),
    ]),
  );

  for (const { number } of [...phones, ...contacts.flatMap(({ phone }) => (phone ? [phone] : []))])
    for (const key of phoneKeys(number)) addKey("phone", key);
  for (const address of addresses) addKey("email", address.toLowerCase());
  for (const { street } of places) addKey("street", streetKey(street));
  for (const { id, vin, plateKey } of vehicles) {
    if (vin !== null) for (const key of vinKeys(vin)) addKey("vin", key, id);
    if (plateKey !== null) addKey("plate", plateKey, id);
  }
  return { words: [...words].map(([word, field]) => ({ word, field })), keys: [...keys.values()] };
}

/** A business's name is also typed as one word. */
function runTogether(name: string): string {
  const words = wordsOf(name);
  return words.length > 1 ? words.join("") : "";
}
