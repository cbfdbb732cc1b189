import type { CustomerRecord, VehicleRecord } from "./pending";

const WORDS: Record<keyof CustomerRecord | keyof VehicleRecord, string> = {
  kind: "kind",
  name: "name",
  knownFrom: "tie to you",
  phones: "phones",
  emails: "emails",
  preferredContact: "preferred way",
  textConsent: "consent to texts",
  emailConsent: "consent to mails",
  language: "language",
  contacts: "contacts",
  billingAddress: "billing address",
  serviceAddresses: "addresses",
  taxExemption: "tax exemption",
  usualPayer: "usual payer",
  notes: "notes",
  foundUsBy: "way of finding you",
  newcomerAnswers: "answers to the newcomers' questions",
  serviceIntervals: "agreed intervals",
  vin: "VIN",
  vinNote: "note on the VIN",
  plate: "plate",
  region: "state of the plate",
  year: "year",
  make: "make",
  model: "model",
  trim: "trim",
  engine: "engine",
  drive: "drive",
  transmission: "transmission",
  color: "color",
  unitNumber: "unit number",
  nickname: "nickname",
  photoId: "photo",
};

/** What was changed of a customer or a car, as a person would say it. @example fieldWords(["plate", "color"]) //=> "plate and color" */
export function fieldWords(keys: readonly string[]): string {
  const words = Object.entries(WORDS).flatMap(([key, each]) => (keys.includes(key) ? [each] : []));
  return new Intl.ListFormat("en-US", { type: "conjunction" }).format(words);
}
