import { CONTACT_WAYS, mainPhone, mayText, showPhone, textPhone, type ContactWay } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";

export interface ContactLink {
  way: ContactWay;
  label: string;
  url: string;
}

/** Ways to reach a customer, the preferred one first; texting only where it is welcome. */
export function contactLinks(
  customer: Pick<Customer, "phones" | "emails" | "textConsent" | "preferredContact">,
): ContactLink[] {
  const { preferredContact } = customer;
  const phone = mainPhone(customer);
  const mobile = mayText(customer) ? textPhone(customer) : null;
  const email = customer.emails[0]?.address;
  const links: Partial<Record<ContactWay, ContactLink>> = {
    ...(phone
      ? {
          call: {
            way: "call",
            label: showPhone(phone.number, phone.extension),
            url: phone.extension === null ? `tel:${phone.number}` : `tel:${phone.number};ext=${phone.extension}`,
          },
        }
      : {}),
    ...(mobile === null ? {} : { text: { way: "text", label: "Text", url: `sms:${mobile}` } }),
    ...(email === undefined ? {} : { email: { way: "email", label: "Email", url: `mailto:${email}` } }),
  };
  return [...CONTACT_WAYS]
    .sort((a, b) => Number(b === preferredContact) - Number(a === preferredContact))
    .flatMap((way) => links[way] ?? []);
}
