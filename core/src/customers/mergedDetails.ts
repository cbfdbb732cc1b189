import { showPlace } from "../places/showPlace";
import type { CustomerDetails, Consent } from "./details";

/** What two records of one customer know together; where both know a thing differently, the kept one's word stands. */
export function mergedDetails(kept: CustomerDetails, merged: CustomerDetails): CustomerDetails {
  return {
    knownFrom: [...new Set([kept.knownFrom, merged.knownFrom])].filter(Boolean).join("; "),
    phones: union(kept.phones, merged.phones, ({ number, extension }) => `${number} ${extension ?? ""}`),
    emails: union(kept.emails, merged.emails, ({ address }) => address.toLowerCase()),
    preferredContact: kept.preferredContact ?? merged.preferredContact,
    textConsent: latest(kept.textConsent, merged.textConsent),
    emailConsent: latest(kept.emailConsent, merged.emailConsent),
    language: kept.language,
    contacts: union(kept.contacts, merged.contacts, ({ name, phone }) => `${name} ${phone?.number ?? ""}`),
    billingAddress: kept.billingAddress ?? merged.billingAddress,
    serviceAddresses: union(kept.serviceAddresses, merged.serviceAddresses, ({ place }) => showPlace(place)),
    taxExemption: kept.taxExemption ?? merged.taxExemption,
    usualPayer: kept.usualPayer ?? merged.usualPayer,
    notes: [...new Set([kept.notes, merged.notes])].filter(Boolean).join("\n"),
    foundUsBy: kept.foundUsBy ?? merged.foundUsBy,
    newcomerAnswers: union(kept.newcomerAnswers, merged.newcomerAnswers, ({ questionId }) => questionId),
    serviceIntervals: union(kept.serviceIntervals, merged.serviceIntervals, ({ id }) => id),
  };
}

function union<T>(first: readonly T[], second: readonly T[], keyOf: (value: T) => string): T[] {
  const known = new Set(first.map(keyOf));
  return [...first, ...second.filter((value) => !known.has(keyOf(value)))];
}

/** What was said last about texts or mails counts. */
function latest(a: Consent | null, b: Consent | null): Consent | null {
  if (a === null || b === null) return a ?? b;
  return Date.parse(b.at) > Date.parse(a.at) ? b : a;
}
