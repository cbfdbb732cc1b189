import { z } from "zod";
import { language } from "../languages/language";
import { serviceInterval } from "../vehicles/specs/specSheet";
import { place } from "../places/place";

const instant = z.iso.datetime();

/** A person, or a business with cars of its own (a fleet). */
export const CUSTOMER_KINDS = ["person", "business"] as const;
export type CustomerKind = (typeof CUSTOMER_KINDS)[number];

export const CONTACT_WAYS = ["call", "text", "email"] as const;
export type ContactWay = (typeof CONTACT_WAYS)[number];

export const customerPhone = z.object({
  /** E.164. */
  number: z.string(),
  extension: z.string().nullable(),
  label: z.string(),
});
export type CustomerPhone = z.infer<typeof customerPhone>;

export const customerEmail = z.object({ address: z.string(), label: z.string() });
/** Somebody beside the customer: a spouse, a driver, a fleet manager, with what they may do. */
export const contact = z.object({
  id: z.string(),
  name: z.string(),
  role: z.string(),
  phone: customerPhone.nullable(),
  email: z.string().nullable(),
  /** The largest total they may say yes to: 0 is nothing, null is any. */
  approvalLimitCents: z.number().int().nonnegative().nullable(),
  mayPay: z.boolean(),
  mayHandOverKeys: z.boolean(),
});
export type Contact = z.infer<typeof contact>;

/** What somebody who comes to work there needs to know; empty is unknown. */
export const accessNotes = z.object({
  gateCode: z.string(),
  dog: z.string(),
  slope: z.string(),
  heightLimit: z.string(),
  surface: z.string(),
  note: z.string(),
});
export type AccessNotes = z.infer<typeof accessNotes>;

export const serviceAddress = z.object({ id: z.string(), label: z.string(), place, access: accessNotes });
export type ServiceAddress = z.infer<typeof serviceAddress>;

/** Whether texts or mails are welcome; when and how that was said. */
export const consent = z.object({ given: z.boolean(), at: instant, how: z.string() });
export type Consent = z.infer<typeof consent>;

export const newcomerAnswer = z.object({ questionId: z.string(), question: z.string(), answer: z.string() });
/** All that is known about a customer beside the name. */
export const customerDetails = z.object({
  /** What the business knows them by beside the name: "from the bakery"; empty is nothing. */
  knownFrom: z.string(),
  phones: z.array(customerPhone),
  emails: z.array(customerEmail),
  preferredContact: z.enum(CONTACT_WAYS).nullable(),
  textConsent: consent.nullable(),
  emailConsent: consent.nullable(),
  /** What they are spoken to in. */
  language,
  contacts: z.array(contact),
  billingAddress: place.nullable(),
  serviceAddresses: z.array(serviceAddress),
  taxExemption: z.object({ number: z.string() }).nullable(),
  /** Who usually pays when it is not the customer; with an id when that is a customer, too. */
  usualPayer: z.object({ name: z.string(), customerId: z.string().nullable() }).nullable(),
  notes: z.string(),
  foundUsBy: z.string().nullable(),
  newcomerAnswers: z.array(newcomerAnswer),
  /** How often their cars are serviced, where it was agreed otherwise. */
  serviceIntervals: z.array(serviceInterval),
});
export type CustomerDetails = z.infer<typeof customerDetails>;

/** Details of a customer of whom nothing but the name is known. */
export function noDetails(): CustomerDetails {
  return {
    knownFrom: "",
    phones: [],
    emails: [],
    preferredContact: null,
    textConsent: null,
    emailConsent: null,
    language: "en",
    contacts: [],
    billingAddress: null,
    serviceAddresses: [],
    taxExemption: null,
    usualPayer: null,
    notes: "",
    foundUsBy: null,
    newcomerAnswers: [],
    serviceIntervals: [],
  };
}

/** Details as they were stored, brought forward: of mails and the language nothing was said before it could be. */
export function upgradeDetails(
  stored: Omit<CustomerDetails, "emailConsent" | "language"> &
    Partial<Pick<CustomerDetails, "emailConsent" | "language">>,
): CustomerDetails {
  return { emailConsent: null, language: "en", ...stored };
}

/** Notes for the way in, before anything is known: all of them empty. */
export function noAccessNotes(): AccessNotes {
  return { gateCode: "", dog: "", slope: "", heightLimit: "", surface: "", note: "" };
}
