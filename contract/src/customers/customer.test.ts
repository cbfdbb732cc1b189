import { noDetails } from "@mechanon/core";
import { customerBody, customerChanges, customerFields, fieldsOf } from "./customer";

const ID = "0190a000-0000-7000-8000-000000000001";
const place = { street: "1 Ropewalk", town: "", region: "", postcode: "", latitude: null, longitude: null };
const pathOf = (body: object): string | null => {
  const result = customerBody.safeParse({ id: ID, name: "Maren", ...body });
  return result.success ? null : (result.error.issues[0]?.path.join(".") ?? "");
};

describe("a customer's body", () => {
  it("is a person of whom nothing but the name is known", () => {
    expect(customerBody.parse({ id: ID, name: "maren" })).toEqual({
      id: ID,
      kind: "person",
      name: "Maren",
      ...noDetails(),
      notTheSameAs: [],
      keepTwice: false,
    });
  });

  it.each<[string, object, string | null]>([
    ["a name of blanks", { name: "  " }, "name"],
    ["301 letters", { name: "x".repeat(301) }, "name"],
    ["a kind that is none", { kind: "robot" }, "kind"],
    ["half a phone", { phones: [{ number: "555-01" }] }, "phones.0.number"],
    ["an extension of letters", { phones: [{ number: "3605550111", extension: "abc" }] }, "phones.0.extension"],
    ["an email that is none", { emails: [{ address: "maren@" }] }, "emails.0.address"],
    ["a way that is none", { preferredContact: "pigeon" }, "preferredContact"],
    ["consent at no time", { textConsent: { given: true, at: "yesterday", how: "" } }, "textConsent.at"],
    ["a contact without a name", { contacts: [{ id: ID, name: "" }] }, "contacts.0.name"],
    [
      "a negative limit",
      { contacts: [{ id: ID, name: "A", approvalLimitCents: -1 }] },
      "contacts.0.approvalLimitCents",
    ],
    ["half a cent", { contacts: [{ id: ID, name: "A", approvalLimitCents: 0.5 }] }, "contacts.0.approvalLimitCents"],
    ["a place off the globe", { billingAddress: { ...place, latitude: 91 } }, "billingAddress.latitude"],
    ["an exemption without a number", { taxExemption: { number: " " } }, "taxExemption.number"],
    ["a payer without a name", { usualPayer: { name: "" } }, "usualPayer.name"],
    ["notes of 5001 letters", { notes: "x".repeat(5001) }, "notes"],
    ["an unknown key", { shoeSize: 41 }, ""],
    ["21 phones", { phones: Array.from({ length: 21 }, () => ({ number: "3605550111" })) }, "phones"],
    ["a phone of another country", { phones: [{ number: "+44 20 7946 0018" }] }, null],
    ["a place without access notes", { serviceAddresses: [{ id: ID, place }] }, null],
    ["a contact who may anything", { contacts: [{ id: ID, name: "A", approvalLimitCents: null, mayPay: true }] }, null],
  ])("with %s", (_what, body, path) => expect(pathOf(body)).toBe(path));

  it("takes back unchanged what it gave", () => {
    const first = customerBody.parse({
      id: ID,
      name: "Maren Oyelaran",
      phones: [{ number: "(360) 555-0111 ext. 4", label: "Desk" }],
      contacts: [{ id: ID, name: "Idris", phone: { number: "3605550131" } }],
      serviceAddresses: [{ id: ID, place }],
    });
    const { id, notTheSameAs: _none, keepTwice: _once, ...fields } = first;
    expect(customerFields.parse(fields)).toEqual(fields);
    const kept = { id, ...fields, version: 3, createdAt: "2026-01-01T00:00:00.000Z", erasedAt: null };
    expect(customerChanges.parse({ ...fieldsOf(kept), version: 3 })).toEqual({ ...fields, version: 3 });
  });
});
