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
