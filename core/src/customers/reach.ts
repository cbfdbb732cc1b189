import type { Place } from "../places/place";
import { showPlace } from "../places/showPlace";
import type { AccessNotes, CustomerDetails, CustomerPhone } from "./details";

/** The phone to call first. */
export function mainPhone({ phones }: Pick<CustomerDetails, "phones">): CustomerPhone | null {
  return phones[0] ?? null;
}

/** The phone texts go to: the first mobile, else the first without an extension; null when there is none. */
export function textPhone({ phones }: Pick<CustomerDetails, "phones">): string | null {
  const reachable = phones.filter(({ extension }) => extension === null);
  return (reachable.find(({ label }) => /mobile|cell/i.test(label)) ?? reachable[0])?.number ?? null;
}

/** Whether we may text: unless they said no. */
export function mayText({ textConsent }: Pick<CustomerDetails, "textConsent">): boolean {
  return textConsent?.given !== false;
}

/** Where a message goes. */
export interface MessageWay {
  channel: "text" | "mail";
  recipient: string;
}

/** Whether we may mail: unless they said no. */
export function mayMail({ emailConsent }: Pick<CustomerDetails, "emailConsent">): boolean {
  return emailConsent?.given !== false;
}

/**
 * How somebody is told: by what they prefer where that was said, by both where they asked for both, else by text, else by
 * mail; empty: they are called.
 */
export function messageWays(
  details: Pick<CustomerDetails, "phones" | "emails" | "preferredContact" | "textConsent" | "emailConsent">,
): MessageWay[] {
  const [phone, address] = [textPhone(details), details.emails[0]?.address ?? null];
  const text: MessageWay[] = phone !== null && mayText(details) ? [{ channel: "text", recipient: phone }] : [];
  const mail: MessageWay[] = address !== null && mayMail(details) ? [{ channel: "mail", recipient: address }] : [];
  if (details.preferredContact === "email" && mail.length > 0) return mail;
  const wantsBoth = details.preferredContact === null && details.textConsent?.given && details.emailConsent?.given;
  if (wantsBoth) return [...text, ...mail];
  return text.length > 0 ? text : mail;
}

/** Where work is done for them, unless said otherwise. */
export function mainPlace({
  serviceAddresses,
  billingAddress,
}: Pick<CustomerDetails, "serviceAddresses" | "billingAddress">): Place | null {
  return serviceAddresses[0]?.place ?? billingAddress;
}

/**
 * Access notes on one line.
 * @example
 * accessLine({ gateCode: "4410", dog: "friendly", slope: "steep", heightLimit: "", surface: "", note: "" })
 *   //=> "Gate 4410 · Dog: friendly · steep"
 */
export function accessLine({ gateCode, dog, slope, heightLimit, surface, note }: AccessNotes): string {
  return [
    gateCode && `Gate ${gateCode}`,
    dog && `Dog: ${dog}`,
    slope,
    heightLimit && `Height ${heightLimit}`,
    surface,
    note,
  ]
    .filter(Boolean)
    .join(" · ");
}

/** Addresses and their notes for whoever drives there. */
export function accessAt(
  { serviceAddresses }: Pick<CustomerDetails, "serviceAddresses">,
  place: Pick<Place, "street" | "town" | "region" | "postcode">,
): string {
  const notes = accessNotesAt({ serviceAddresses }, place);
  return notes ? accessLine(notes) : "";
}

/** What is kept of an address; null: nothing is. */
export function accessNotesAt(
  { serviceAddresses }: Pick<CustomerDetails, "serviceAddresses">,
  place: Pick<Place, "street" | "town" | "region" | "postcode">,
): AccessNotes | null {
  return serviceAddresses.find((address) => showPlace(address.place) === showPlace(place))?.access ?? null;
}
