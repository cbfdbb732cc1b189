import { noAccessNotes, noDetails, type CustomerDetails } from "./details";
import { approvalLimitOf, approversOf } from "./approvers";
import { isSurelySame, likenesses, surelySameKeys, type Compared } from "./likeness";
import { mergedDetails } from "./mergedDetails";
import { tidyName } from "./personName";
import { readPhone, showPhone } from "./phone";
import { accessAt, mainPlace, mayText, textPhone } from "./reach";
import { soundsLike } from "./soundsLike";
import { houseNumber, streetKey } from "./street";

const place = (street: string, town = "Larkhaven") => ({
  street,
  town,
  region: "WA",
  postcode: "98099",
  latitude: null,
  longitude: null,
});
const at = (street: string, town?: string): Partial<CustomerDetails> => ({
  serviceAddresses: [{ id: street, label: "", place: place(street, town), access: noAccessNotes() }],
});
const who = (name: string, over: Partial<CustomerDetails> = {}): Compared => ({ name, ...noDetails(), ...over });
const phone = (number: string, label = "", extension: string | null = null) => ({ number, extension, label });

describe("names", () => {
  it.each([
    ["maren o'dell-reyes", "Maren O'Dell-Reyes"],
    ["joe's garage llc", "Joe's Garage LLC"],
    ["ludwig van der berg", "Ludwig van der Berg"],
    ["ian mcdonald jr.", "Ian McDonald Jr."],
    ["smith & sons", "Smith & Sons"],
    ["van", "Van"],
    ["MAREN", "MAREN"],
    ["deShawn", "deShawn"],
    ["نور الهدى", "نور الهدى"],
    ["🚗 bob", "🚗 Bob"],
  ])("%p is kept as %p", (typed, name) => expect(tidyName(typed)).toBe(name));
});

describe("phones", () => {
  it.each([
    ["(541) 555-0123 ext. 4", "+15415550123", "4"],
    ["011 44 20 7946 0018", "+442079460018", null],
    ["00 44 20 7946 0018", "+442079460018", null],
  ])("%p", (typed, number, extension) => expect(readPhone(typed)).toEqual({ number, extension }));
  it.each(["", "12", "phone", "9".repeat(70)])("%p is none", (typed) => expect(readPhone(typed)).toBeNull());
  it("are shown with their extension", () => {
    expect(showPhone("+15415550123", "4")).toBe("(541) 555-0123 ext. 4");
    expect(showPhone("+442079460018")).toBe("+44 20 7946 0018");
  });
});

describe("sounding alike", () => {
  it.each([
    ["Jon Smith", "John Smyth", true],
    ["Catherine Philips", "Katherine Phillips", true],
    ["Oyelaran", "Maren Oyelaran", true],
    ["Maren Oyelaran", "Bram Castellanos", false],
    ["Ann Bell", "Ann Lee", false],
    ["", "Maren", false],
  ])("%p and %p: %p", (a, b, alike) => expect(soundsLike(a, b)).toBe(alike));
});

describe("streets", () => {
  it("are the same written short or long, without the number", () => {
    expect([streetKey("18b Heron Landing Road"), streetKey("7 heron landing RD.")]).toEqual([
      "heron lndg rd",
      "heron lndg rd",
    ]);
    expect([houseNumber("18b Heron"), houseNumber("Heron")]).toEqual(["18b", ""]);
  });
});

describe("likely the same", () => {
  const maren = who("Maren Oyelaran", {
    phones: [phone("+13605550111")],
    emails: [{ address: "Maren@example.com", label: "" }],
    ...at("18 Heron Landing"),
  });
  it.each([
    ["same phone", who("M. O.", { phones: [phone("+13605550111")] }), ["phone"], true],
    ["same email in capitals", who("X", { emails: [{ address: "MAREN@EXAMPLE.COM", label: "" }] }), ["email"], true],
    ["same name and house", who("Oyelaran Maren", at("18 heron landing")), ["nameAndStreet"], true],
    ["sounding name at the street", who("Marin Oyelaran", at("Heron Landing")), ["soundAndStreet"], false],
    ["same name in town", who("Maren Oyelaran", at("7 Kelp Street")), ["nameAndTown"], false],
    ["another house of the street", who("Marin Oyelaran", at("19 Heron Landing")), [], false],
    ["somebody else", who("Bram Castellanos", at("2 Foghorn Hill", "Saltgrass")), [], false],
  ])("%s", (_what, other, why, sure) => {
    expect(likenesses(maren, other)).toEqual(why);
    expect(isSurelySame(likenesses(other, maren))).toBe(sure);
    expect(surelySameKeys(other).some((key) => surelySameKeys(maren).includes(key))).toBe(sure);
  });
  it("sees a contact's phone", () => {
    const contacts = [
      {
        id: "c",
        name: "I",
        role: "",
        phone: phone("+13605550111"),
        email: null,
        approvalLimitCents: 0,
        mayPay: false,
        mayHandOverKeys: false,
      },
    ];
    expect(likenesses(maren, who("Idris", { contacts }))).toEqual(["phone"]);
    expect(surelySameKeys(who("Idris", { contacts }))).toEqual(["+13605550111"]);
  });
});

describe("reaching somebody", () => {
  it("texts the mobile first, never a desk", () => {
    expect(textPhone({ phones: [phone("+1", "Work"), phone("+2", "Mobile")] })).toBe("+2");
    expect(textPhone({ phones: [phone("+1", "Desk", "4")] })).toBeNull();
    expect([mayText({ textConsent: null }), mayText({ textConsent: { given: false, at: "", how: "" } })]).toEqual([
      true,
      false,
    ]);
  });
  it("knows the notes of the place one drives to", () => {
    const details = { ...noDetails(), ...at("18 Heron Landing"), billingAddress: place("1 Ropewalk") };
    details.serviceAddresses[0]!.access = { ...noAccessNotes(), gateCode: "4410", dog: "friendly", slope: "Steep" };
    expect(accessAt(details, place("18 Heron Landing"))).toBe("Gate 4410 · Dog: friendly · Steep");
    expect(accessAt(details, place("2 Elsewhere"))).toBe("");
    expect(mainPlace({ ...details, serviceAddresses: [] })?.street).toBe("1 Ropewalk");
  });
});

it("contacts may say yes as far as was agreed, others are taken at their word", () => {
  const contacts = [
    { name: "Idris Oyelaran", approvalLimitCents: 30000 },
    { name: "Pilar Quist", approvalLimitCents: 0 },
    { name: "Lotte", approvalLimitCents: null },
  ];
  expect(approversOf({ name: "Maren", contacts }).map(({ name }) => name)).toEqual([
    "Maren",
    "Idris Oyelaran",
    "Lotte",
  ]);
  expect(
    ["idris oyelaran ", "Pilar Quist", "Lotte", "A neighbor"].map((who) => approvalLimitOf({ contacts }, who)),
  ).toEqual([30000, 0, null, null]);
});

it("two records know together what either knew; the kept one's word stands", () => {
  const early = { given: true, at: "2025-01-01T00:00:00Z", how: "" };
  const late = { given: false, at: "2026-01-01T00:00:00Z", how: "" };
  const kept = { ...noDetails(), phones: [phone("+1")], notes: "a", textConsent: early, taxExemption: { number: "1" } };
  const merged = {
    ...noDetails(),
    phones: [phone("+1"), phone("+2")],
    notes: "b",
    textConsent: late,
    taxExemption: { number: "2" },
    foundUsBy: "A friend",
  };
  expect(mergedDetails(kept, merged)).toMatchObject({
    phones: [{ number: "+1" }, { number: "+2" }],
    notes: "a\nb",
    textConsent: { given: false },
    taxExemption: { number: "1" },
    foundUsBy: "A friend",
  });
});
