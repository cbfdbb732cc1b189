import { View } from "react-native";
import { accessLine, showMoney, showPhone, showPlace } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";
import { Words } from "../ui/Words";

/** All that is known of a customer, as lines; what is not known is left out. */
export function CustomerFacts({ customer }: { customer: Customer }) {
  const facts = factsOf(customer);
  if (facts.length === 0)
    return <Words tone="muted">Nothing but the name. Press Change to add phone, address and more.</Words>;
  return facts.map(([name, lines]) => (
    <View key={name}>
      <Words size="small" tone="muted">
        {name}
      </Words>
      {lines.map((line) => (
        <Words key={line} selectable>
          {line}
        </Words>
      ))}
    </View>
  ));
}

const WAYS = { call: "Rather called", text: "Rather texted", email: "Rather emailed" } as const;

function factsOf(customer: Customer): [string, string[]][] {
  const {
    knownFrom,
    phones,
    emails,
    preferredContact,
    textConsent,
    emailConsent,
    language,
    contacts,
    billingAddress,
    serviceAddresses,
    taxExemption,
    usualPayer,
    notes,
    foundUsBy,
    newcomerAnswers,
  } = customer;
  const labeled = (text: string, label: string): string => (label === "" ? text : `${text}, ${label.toLowerCase()}`);
  const facts: [string, string[]][] = [
    ["Known", [knownFrom]],
    ["Phones", phones.map(({ number, extension, label }) => labeled(showPhone(number, extension), label))],
    ["Emails", emails.map(({ address, label }) => labeled(address, label))],
    [
      "Contact",
      [
        preferredContact ? WAYS[preferredContact] : "",
        textConsent
          ? `${textConsent.given ? "Texts welcome" : "No texts"}: ${textConsent.how}, ${textConsent.at.slice(0, 10)}`
          : "",
        emailConsent ? `${emailConsent.given ? "Mails welcome" : "No mails"}: ${emailConsent.how}` : "",
        // One kept on a device of before says nothing of it.
        language === "es" ? "Spoken to in Spanish" : "",
      ],
    ],
    ...serviceAddresses.map(({ label, place, access }, index): [string, string[]] => [
      label || `Place ${index + 1}`,
      [showPlace(place), accessLine(access)],
    ]),
    ["Bills go to", billingAddress ? [showPlace(billingAddress)] : []],
    ...contacts.map(({ name, role, phone, email, approvalLimitCents, mayPay, mayHandOverKeys }): [string, string[]] => [
      role || "Contact",
      [
        [name, phone ? showPhone(phone.number, phone.extension) : "", email ?? ""].filter(Boolean).join(", "),
        [
          approvalLimitCents === null
            ? "approves anything"
            : approvalLimitCents > 0
              ? `approves up to ${showMoney(approvalLimitCents)}`
              : "",
          mayPay ? "pays" : "",
          mayHandOverKeys ? "hands over keys" : "",
        ]
          .filter(Boolean)
          .join(", "),
      ],
    ]),
    ["Exempt from tax", taxExemption ? [taxExemption.number] : []],
    ["Usually pays", usualPayer ? [usualPayer.name] : []],
    ["Notes", [notes]],
    ["Found us by", foundUsBy ? [foundUsBy] : []],
    ...newcomerAnswers.map(({ question, answer }): [string, string[]] => [question, [answer]]),
  ];
  return facts
    .map(([name, lines]): [string, string[]] => [name, lines.filter(Boolean)])
    .filter(([, lines]) => lines.length > 0);
}
