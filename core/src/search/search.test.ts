import fc from "fast-check";
import { noAccessNotes, noDetails } from "../customers/details";
import { fold } from "../text/fold";
import { matchMarks } from "./matchMarks";
import { isNearMiss, isOneEditAway, shapesOf } from "./nearMiss";
import { otherSpellings } from "./otherSpellings";
import { phoneKeys, readSearch, vinKey } from "./searchQuery";
import { searchTerms } from "./searchTerms";
import { wordsOf } from "../text/words";

const marked = (typed: string, text: string): string[] =>
  matchMarks(readSearch(typed), text).map(({ start, end }) => text.slice(start, end));

describe("words", () => {
  it.each([
    ["Jørgen Weiß", "jorgen weiss"],
    ["ŁUKASZ Đorđević", "lukasz dordevic"],
    ["نُور", "نور"],
    ["ＡＢＣ", "abc"],
  ])("%p is compared as %p", (text, folded) => expect(fold(text)).toBe(folded));

  it.each([
    ["Noor Haddad-Bell", ["noor", "haddad", "bell"]],
    ["Joe's Garage & Sons", ["joes", "garage", "sons"]],
    ["Zoë 🚗 Zoë", ["zoe", "🚗"]],
    ["%'_\\", []],
  ])("of %p are %p", (text, words) => expect(wordsOf(text)).toEqual(words));
});

describe("a near miss", () => {
  const word = fc.string({ unit: fc.constantFrom(..."abcdeé"), minLength: 4, maxLength: 9 });
  const edited = fc
    .tuple(word, fc.nat(), fc.constantFrom(..."abcdz"), fc.constantFrom("wrong", "missing", "added", "swapped"))
    .map(([text, seed, letter, edit]) => {
      const at = seed % text.length;
      if (edit === "wrong") return [text, text.slice(0, at) + letter + text.slice(at + 1)] as const;
      if (edit === "missing") return [text, text.slice(0, at) + text.slice(at + 1)] as const;
      if (edit === "added") return [text, text.slice(0, at) + letter + text.slice(at)] as const;
      return [text, text.slice(0, at) + (text[at + 1] ?? "") + (text[at] ?? "") + text.slice(at + 2)] as const;
    });
  it("is seen whatever the edit, and shares a shape with the word", () => {
    fc.assert(
      fc.property(edited, ([text, typed]) => {
        expect([typed, text, isOneEditAway(typed, text), isOneEditAway(text, typed)]).toEqual([
          typed,
          text,
          true,
          true,
        ]);
        if (typed.length >= 3) {
          expect([typed, text, isNearMiss(typed, text)]).toEqual([typed, text, true]);
          expect(shapesOf(typed).some((shape) => shapesOf(text).includes(shape))).toBe(true);
        }
      }),
    );
  });
  it.each([
    ["maern", "maren", true],
    ["mraen", "marenka", true],
    ["mxxen", "maren", false],
    ["maren", "bram", false],
    ["lo", "lou", false],
  ])("%p for %p: %p", (typed, word, near) => expect(isNearMiss(typed, word)).toBe(near));
  it("of two edits is none", () => {
    expect([isOneEditAway("abcd", "badc"), isOneEditAway("abc", "abcde"), isOneEditAway("", "ab")]).toEqual([
      false,
      false,
      false,
    ]);
  });
});

describe("what was typed", () => {
  it.each([
    ["(360) 555-0111", "13605550111"],
    ["360.555.0111", "13605550111"],
    ["+1 360 555 0111", "13605550111"],
    ["001 360 555 0111", "13605550111"],
    ["360-555-0111 ext. 4", "13605550111"],
    ["020 7946 0018", "2079460018"],
    ["+44 (0)20 7946 0018", "442079460018"],
    ["0044 20 7946 0018", "442079460018"],
    ["011 49 30 1234567", "49301234567"],
    ["030 1234567", "301234567"],
  ])("%p finds the phone by %p", (typed, key) => expect(readSearch(typed).phones).toContain(key));

  it.each([
    ["LRK 12O4", { plate: "LRK1204" }],
    ["o1i-abc", { plate: "011ABC" }],
    ["1HGCV1F34KA048217", { vin: "1HGCV1F34KA048217" }],
    ["ka048217", { vin: "KA048217" }],
    ["#1012", { number: 1012 }],
    ["bill 1012", { number: 1012 }],
    ["WO-1012", { number: 1012 }],
    ["order no. 1012", { number: 1012 }],
    ["invoice #1012", { number: 1012 }],
    ["node 1012", { number: null }],
    ["cell: 360 555 0111", { phones: ["13605550111", "3605550111"] }],
    ["vin diaz", { words: ["vin", "diaz"] }],
    ["Maren@Example.com", { email: "maren@example.com", words: [] }],
    ["99999999999", { number: null }],
    ["tel:+13605550111", { phones: ["13605550111"], words: [] }],
    ["360 555 0111 x", { phones: ["13605550111", "3605550111"], words: [] }],
    ["Maren <Maren@Example.com>", { email: "maren@example.com", words: [] }],
    ["maren 0111", { mixed: { code: { phones: ["0111"] }, words: ["maren"] }, phones: [] }],
    ["Oyelaran, +1 (360) 555-0111", { mixed: { code: { phones: ["13605550111"] }, words: ["oyelaran"] } }],
    ["lrk12o4 wa", { mixed: { code: { plate: "LRK1204" }, words: ["wa"] } }],
    ["maren oyelaran", { mixed: null }],
    ["18 heron", { mixed: null }],
    ["2016 honda 0111", { mixed: null }],
  ])("%p is read as %p", (typed, read) => expect(readSearch(typed)).toMatchObject(read));

  it.each(["", "%", "'", "\\", " ", "..."])("%p asks for nothing", (typed) => {
    expect(readSearch(typed)).toEqual({
      words: [],
      phones: [],
      plate: null,
      vin: null,
      email: null,
      number: null,
      mixed: null,
    });
  });
  it("is read whatever it is", () => {
    fc.assert(fc.property(fc.string({ maxLength: 500 }), (typed) => readSearch(typed).words.length <= 6));
  });
});

it.each([
  ["st", ["street", "saint"]],
  ["saint", ["st"]],
  ["rd", ["road"]],
  ["northeast", ["ne"]],
  ["3rd", ["third"]],
  ["heron", []],
])("%p may be kept as %p", (typed, spellings) => expect(otherSpellings(typed)).toEqual(spellings));

describe("what is kept", () => {
  const place = {
    street: "18 Heron Landing Road",
    town: "Larkhaven",
    region: "WA",
    postcode: "98099",
    latitude: null,
    longitude: null,
  };
  const terms = searchTerms(
    {
      kind: "business",
      name: "Harbor Bread",
      ...noDetails(),
      phones: [{ number: "+13605550121", extension: null, label: "" }],
      emails: [{ address: "Vans@Example.com", label: "" }],
      contacts: [
        {
          id: "c",
          name: "Pilar Quist",
          role: "",
          phone: null,
          email: null,
          approvalLimitCents: 0,
          mayPay: false,
          mayHandOverKeys: false,
        },
      ],
      serviceAddresses: [{ id: "a", label: "", place, access: noAccessNotes() }],
    },
    [
      {
        id: "v",
        vin: "1FTBW2CM0HKA40628",
        plateKey: "LRK1451",
        make: "Ford",
        model: "F-150",
        color: "White",
        unitNumber: "7",
        nickname: null,
      },
    ],
  );
  it("is found by every word, the name's first", () => {
    const fieldOf = Object.fromEntries(terms.words.map(({ word, field }) => [word, field]));
    expect(fieldOf).toMatchObject({
      harbor: "name",
      harborbread: "name",
      quist: "contact",
      vans: "email",
      heron: "street",
      18: "street",
      ford: "car",
      f150: "car",
      white: "car",
      unit: "car",
      7: "car",
    });
    expect(fieldOf).not.toHaveProperty("example");
  });
  it("is found by phone, email, street, plate and VIN", () => {
    expect(terms.keys.map(({ kind, key }) => `${kind} ${key}`)).toEqual([
      "phone 13605550121",
      "phone 3605550121",
      "phone 5550121",
      "email vans@example.com",
      "street heron lndg rd",
      "vin 1FTBW2CM0HKA40628",
      "vin HKA40628",
      "vin A40628",
      "plate LRK1451",
    ]);
    expect(phoneKeys("+442079460018")).toContain("2079460018");
    expect(vinKey("1hgco")).toBe("1HGC0");
  });
});

describe("marks", () => {
  it.each([
    ["oye", "Maren Oyelaran", ["Oye"]],
    ["lar oyel", "Maren Oyelaran", ["Oyelar"]],
    ["mraen", "Maren Oyelaran", ["Maren"]],
    ["weis", "Jürgen Weiß", ["Weiß"]],
    ["5550111", "(360) 555-0111", ["555-0111"]],
    ["0111", "(360) 555-0111", ["0111"]],
    ["lrk12o4", "LRK1204", ["LRK1204"]],
    ["048217", "1HGCV1F34KA048217", ["048217"]],
    ["maren@ex", "maren@example.com", ["maren@ex"]],
    ["zzz", "Maren", []],
    ["vanderq", "Pieter van der Quell", ["van der Quell"]],
    ["saint orsel", "4417 St Orsel Rd", ["St", "Orsel"]],
    ["maren 0111", "Maren Oyelaran", ["Maren"]],
    ["maren 0111", "(360) 555-0111", ["0111"]],
    ["maren 0111", "(360) 555-0131", []],
  ])("of %p in %p are %p", (typed, text, parts) => expect(marked(typed, text)).toEqual(parts));
});
