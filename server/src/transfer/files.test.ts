import fc from "fast-check";
import { encode } from "iconv-lite";
import ICAL from "ical.js";
import { noAccessNotes, noDetails, readImportRow, type CustomerDetails } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";
import { SeenRows } from "./importRows";
import { readCsv, samplesOf, type Table } from "./readCsv";
import { guessEncoding, textOf } from "./readText";
import { VCARD_COLUMNS, readVcards } from "./readVcard";
import { toVcard } from "./vcard";

const cardsOf = (text: string): string[][] => [...readVcards(text)];

const customer = (over: Partial<Customer> = {}): Customer => ({
  id: "0190a000-0000-7000-8000-000000000001",
  kind: "person",
  name: "Maren Oyelaran",
  ...noDetails(),
  version: 1,
  createdAt: "2026-01-01T00:00:00.000Z",
  erasedAt: null,
  ...over,
});
const readBack = (card: string) => {
  const [row] = cardsOf(card);
  if (!row) throw new Error("no card");
  return readImportRow(row, VCARD_COLUMNS);
};

describe("encodings", () => {
  const TEXT = "Name,Town\nSöla Krüger,Łódź\n";
  it.each([
    ["utf-8", Buffer.from(TEXT), "utf-8"],
    ["UTF-8 with its mark", Buffer.from(`\uFEFF${TEXT}`), "utf-8"],
    ["two bytes a letter", encode(TEXT, "utf-16le", { addBOM: true }), "utf-16le"],
    ["two bytes a letter, turned", encode(TEXT, "utf-16be", { addBOM: true }), "utf-16be"],
    ["plain letters", Buffer.from("Name\nMaren\n"), "utf-8"],
  ])("%s is seen", (_what, bytes, encoding) => {
    expect(guessEncoding(bytes)).toBe(encoding);
    expect(textOf(bytes, encoding).startsWith("Name")).toBe(true);
  });
  it("what is not UTF-8 is read as the western world writes it, or as what it looks like", () => {
    const western = encode("Name\nJosé Peña García, Zürich\nFrançois Lefèvre, Nîmes\n", "windows-1252");
    expect(textOf(western, guessEncoding(western))).toContain("Peña");
  });
  it("any text comes back from UTF-8", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme" }), (text) => {
        const bytes = Buffer.from(text);
        if (text.startsWith("\uFEFF") || bytes.subarray(0, 2).equals(Buffer.from([0xff, 0xfe]))) return;
        expect(textOf(bytes, guessEncoding(bytes))).toBe(bytes.toString("utf8"));
      }),
    );
  });
});

describe("CSV", () => {
  const read = async (text: string): Promise<{ table: Table | null; rows: string[][] }> => {
    const out: { table: Table | null; rows: string[][] } = { table: null, rows: [] };
    await readCsv(
      text,
      (table) => (out.table = table),
      (rows) => Promise.resolve(void out.rows.push(...rows)),
    );
    return out;
  };
  it.each([
    ["commas", "Name,Phone\nA,1\n"],
    ["semicolons", "Name;Phone\nA;1\n"],
    ["tabs", "Name\tPhone\nA\t1\n"],
    ["pipes", "Name|Phone\nA|1\n"],
    ["carriage returns", "Name,Phone\r\nA,1\r\n"],
  ])("with %s", async (_what, text) => {
    expect(await read(text)).toMatchObject({ table: { headings: ["Name", "Phone"], mapping: ["name", "phone"] }, rows: [["A", "1"]] }); // prettier-ignore
  });
  it("keeps line ends, quotes and separators inside quotes", async () => {
    const { rows } = await read('Name,Notes\n"Oyelaran, Maren","says ""hi""\nand waves"\n');
    expect(rows).toEqual([["Oyelaran, Maren", 'says "hi"\nand waves']]);
  });
  it("leaves ragged rows as they are, and empty ones out", async () => {
    const { rows } = await read("Name,Phone,Town\nA\n\n,,\nB,1,C,D\n");
    expect(rows).toEqual([["A"], ["B", "1", "C", "D"]]);
  });
  it("comes in batches, in order, however long it is", async () => {
    const sizes: number[] = [];
    const seen: string[] = [];
    await readCsv(
      ["Name", ...Array.from({ length: 1234 }, (_, index) => `Person ${index}`)].join("\n"),
      () => undefined,
      (rows) => {
        sizes.push(rows.length);
        seen.push(...rows.map(([name = ""]) => name));
        return Promise.resolve();
      },
    );
    expect(sizes).toEqual([500, 500, 234]);
    expect(seen[1233]).toBe("Person 1233");
  });
  it("of no rows, or of a thousand columns, is none", async () => {
    await expect(read("")).rejects.toThrow("the file has no rows");
    await expect(read(Array.from({ length: 501 }, () => "a").join(","))).rejects.toThrow("501 columns");
  });
  it("shows the first cells of each column, and names columns without a heading", () => {
    expect(samplesOf(["Name", ""], [["A", " "], ["B", "x"], ["", "y"], ["C", "z"], ["D", "w"]])).toEqual([
      { heading: "Name", samples: ["A", "B", "C"] },
      { heading: "Column 2", samples: ["x", "y", "z"] },
    ]); // prettier-ignore
  });
});

describe("vCards", () => {
  it("say what version 4.0 asks for, folded and escaped", () => {
    const card = toVcard(customer({ name: "Maren, Oyelaran; & Co", notes: `one\ntwo, three; ${"x".repeat(90)}` }));
    expect(card).toMatch(/^BEGIN:VCARD\r\nVERSION:4\.0\r\n/);
    expect(card).toContain("UID:urn:uuid:0190a000-0000-7000-8000-000000000001");
    expect(card.split("\r\n").every((line) => line.length <= 75)).toBe(true);
    expect(() => ICAL.parse(card) as unknown).not.toThrow();
    expect(readBack(card)).toMatchObject({ name: "Maren, Oyelaran; & Co", details: { notes: `one\ntwo, three; ${"x".repeat(90)}` } }); // prettier-ignore
  });
  it("bring back what they took out", () => {
    const details: Partial<CustomerDetails> = {
      phones: [
        { number: "+13605550111", extension: null, label: "Mobile" },
        { number: "+13605550196", extension: "12", label: "Work" },
      ],
      emails: [{ address: "maren@example.com", label: "" }],
      serviceAddresses: [{ id: "a", label: "", access: noAccessNotes(), place: { street: "18 Heron Landing", town: "Larkhaven", region: "WA", postcode: "98099", latitude: null, longitude: null } }],
      contacts: [{ id: "c", name: "Idris Oyelaran", role: "Spouse", phone: null, email: null, approvalLimitCents: 0, mayPay: false, mayHandOverKeys: false }],
    }; // prettier-ignore
    const read = readBack(toVcard(customer(details)));
    expect(read).toMatchObject({ kind: "person", name: "Maren Oyelaran", fault: null, remarks: [] });
    expect(read.details.phones).toEqual(details.phones);
    expect(read.details.emails).toEqual(details.emails);
    expect(read.details.serviceAddresses[0]?.place.street).toBe("18 Heron Landing");
    expect(read.details.contacts[0]?.name).toBe("Idris Oyelaran");
    expect(readBack(toVcard(customer({ kind: "business", name: "Harbor Bread" })))).toMatchObject({ kind: "business", name: "Harbor Bread" }); // prettier-ignore
  });
  it("any name and note survives", () => {
    const text = fc.string({ unit: fc.constantFrom(..."abc,;:\\\"'\nß🚗 "), minLength: 1, maxLength: 40 });
    fc.assert(
      fc.property(text, text, (name, notes) => {
        const [row = []] = cardsOf(toVcard(customer({ name: `X${name.replace(/\n/g, " ")}`, notes })));
        expect(row[VCARD_COLUMNS.indexOf("name")]).toBe(`X${name.replace(/\n/g, " ")}`.trim());
        expect(row[VCARD_COLUMNS.indexOf("notes")]).toBe(notes.trim());
      }),
    );
  });
  it.each(["\r", "\r\n", "\u2028", "\u0085", "\v"])("are one each, whatever ends a line in a note: %j", (end) => {
    const notes = `gate is left${end}BEGIN:VCARD${end}FN:Somebody Else${end}END:VCARD`;
    const rows = cardsOf([1, 2].map(() => toVcard(customer({ notes, name: `Maren${end}Oyelaran` }))).join(""));
    expect(rows).toHaveLength(2);
    expect(rows[0]?.[VCARD_COLUMNS.indexOf("notes")]?.split("\n")).toHaveLength(4);
  });
  it("with sixty thousand numbers are read as quickly as any, and say what was left out", () => {
    const phones = Array.from({ length: 60_000 }, (_, index) => `TEL:+1${3605550000 + index}`).join("\n");
    const rows = cardsOf(`BEGIN:VCARD\nVERSION:4.0\nFN:Too Many\n${phones}\nEND:VCARD\nBEGIN:VCARD\nVERSION:4.0\nFN:Next\nEND:VCARD`); // prettier-ignore
    expect(rows[0]?.[VCARD_COLUMNS.indexOf("notes")]).toMatch(/^Unreadable card \(it has \d+ characters\): BEGIN/);
    expect(rows[1]?.[0]).toBe("Next");
    const some = phones.split("\n").slice(0, 1000).join("\n");
    const [row = []] = cardsOf(`BEGIN:VCARD\nVERSION:4.0\nFN:Many\n${some}\nEND:VCARD`);
    expect(row[VCARD_COLUMNS.indexOf("notes")]).toContain("960 more values of this card were not taken in");
  });
  it("bring pictures along that nobody reads", () => {
    const photo = `PHOTO;ENCODING=b;TYPE=JPEG:${Array.from({ length: 3000 }, () => "A".repeat(74)).join("\r\n ")}`;
    const [row = []] = cardsOf(
      `BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Pictured\r\n${photo}\r\nTEL:360 555 0101\r\nEND:VCARD`,
    );
    expect(row[0]).toBe("Pictured");
    expect(row).toContain("360 555 0101");
  });
  it("keep what finds no column in the notes", () => {
    const phones = Array.from({ length: 5 }, (_, index) => `TEL;TYPE=cell:360 555 010${index}`).join("\n");
    const [row = []] = cardsOf(`BEGIN:VCARD\nVERSION:4.0\nFN:Many Phones\n${phones}\nEND:VCARD`);
    expect(row[VCARD_COLUMNS.indexOf("notes")]?.split("\n")).toHaveLength(3);
  });
});

describe("rows of one customer", () => {
  it("lead to the first of them, also over a third one between", () => {
    const seen = new SeenRows();
    expect(seen.meet(1, ["+1", "a@b.c"])).toBeNull();
    expect(seen.meet(2, ["+2"])).toBeNull();
    expect(seen.meet(3, ["a@b.c", "+3"])).toBe(1);
    expect(seen.meet(4, ["+3"])).toBe(1);
    expect(seen.meet(5, [])).toBeNull();
  });
});
