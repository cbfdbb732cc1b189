import { fold } from "../text/fold";
import { wordsOf } from "../text/words";
import type { Contact, CustomerDetails } from "./details";
import { soundsLike } from "./soundsLike";
import { houseNumber, streetKey } from "./street";

/** Why two customers may be one, the surest first. */
export const LIKENESSES = ["phone", "email", "nameAndStreet", "soundAndStreet", "nameAndTown"] as const;
export type Likeness = (typeof LIKENESSES)[number];

export interface Compared {
  name: string;
  phones: readonly { number: string }[];
  emails: readonly { address: string }[];
  contacts: readonly Pick<Contact, "phone" | "email">[];
  serviceAddresses: CustomerDetails["serviceAddresses"];
  billingAddress: CustomerDetails["billingAddress"];
}

/** Why two records may be the same customer; empty when nothing says so. Sorted, the surest first. */
export function likenesses(a: Compared, b: Compared): Likeness[] {
  const sameName = nameKey(a) === nameKey(b) && a.name.trim() !== "";
  const atStreet = placesOf(a).some((one) => placesOf(b).some((other) => sameStreet(one.street, other.street)));
  const inTown = placesOf(a).some((one) =>
    placesOf(b).some((other) => one.town !== "" && fold(one.town) === fold(other.town)),
  );
  const holds: Record<Likeness, boolean> = {
    phone: intersects(phonesOf(a), phonesOf(b)),
    email: intersects(emailsOf(a), emailsOf(b)),
    nameAndStreet: sameName && atStreet,
    soundAndStreet: !sameName && atStreet && soundsLike(a.name, b.name),
    nameAndTown: sameName && inTown && !atStreet,
  };
  return LIKENESSES.filter((likeness) => holds[likeness]);
}

/** Whether two records are taken for one without asking anybody: a phone or email in common, or name and house. */
export function isSurelySame(found: readonly Likeness[]): boolean {
  return found.some((likeness) => likeness === "phone" || likeness === "email" || likeness === "nameAndStreet");
}

/**
 * Keys of which two records have one in common when they are surely the same: for many records, that are not held
 * against each other one by one. A street without its house number is no key.
 */
export function surelySameKeys(record: Compared): string[] {
  const houses = placesOf(record).filter(({ street }) => streetKey(street) !== "" && houseNumber(street) !== "");
  return [
    ...phonesOf(record),
    ...emailsOf(record),
    ...(record.name.trim() === ""
      ? []
      : houses.map(({ street }) => `${nameKey(record)}, ${houseNumber(street)} ${streetKey(street)}`)),
  ];
}

function nameKey({ name }: Compared): string {
  return wordsOf(name).sort().join(" ");
}

function phonesOf({ phones, contacts }: Compared): string[] {
  return [...phones.map(({ number }) => number), ...contacts.flatMap(({ phone }) => (phone ? [phone.number] : []))];
}

function emailsOf({ emails, contacts }: Compared): string[] {
  return [...emails.map(({ address }) => address), ...contacts.flatMap(({ email }) => (email ? [email] : []))].map(
    (address) => address.toLowerCase(),
  );
}

function placesOf({ serviceAddresses, billingAddress }: Compared): { street: string; town: string }[] {
  return [...serviceAddresses.map(({ place }) => place), ...(billingAddress ? [billingAddress] : [])];
}

/** The same street; two house numbers tell it apart, one or none does not. */
function sameStreet(a: string, b: string): boolean {
  const [one, other] = [houseNumber(a), houseNumber(b)];
  return streetKey(a) !== "" && streetKey(a) === streetKey(b) && (one === other || one === "" || other === "");
}

function intersects(a: readonly string[], b: readonly string[]): boolean {
  return a.some((value) => b.includes(value));
}
