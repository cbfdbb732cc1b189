import type { CustomerFields } from "@mechanon/contract";
import { isNowhere } from "../../work/nowhere";

/** What was typed, without rows nothing was typed in. */
export function withoutBlanks(fields: CustomerFields): CustomerFields {
  const {
    phones = [],
    emails = [],
    contacts = [],
    serviceAddresses = [],
    billingAddress,
    taxExemption,
    usualPayer,
  } = fields;
  return {
    ...fields,
    phones: phones.filter(({ number }) => number.trim() !== ""),
    emails: emails.filter(({ address }) => address.trim() !== ""),
    contacts: contacts
      .filter(({ name, phone, email }) => [name, phone?.number, email].some((value) => (value ?? "").trim() !== ""))
      .map(({ phone, email, ...contact }) => ({
        ...contact,
        phone: (phone?.number ?? "").trim() === "" ? null : phone,
        email: (email ?? "").trim() === "" ? null : email,
      })),
    serviceAddresses: serviceAddresses.filter(
      ({ place, access }) => !isNowhere(place) || Object.values(access ?? {}).some((note) => note.trim() !== ""),
    ),
    billingAddress: billingAddress && isNowhere(billingAddress) ? null : billingAddress,
    taxExemption: taxExemption?.number.trim() === "" ? null : taxExemption,
    usualPayer: usualPayer?.name.trim() === "" ? null : usualPayer,
  };
}
