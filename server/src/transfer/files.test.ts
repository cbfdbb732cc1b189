import fc from "fast-check";
import { encode } from "iconv-lite";
import ICAL from "ical.js";
import { noAccessNotes, noDetails, readImportRow, type CustomerDetails } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";
import { SeenRows } from "./importRows";
import { kindOfNoText } from "./kindOfNoText";
import { readCsv, samplesOf, type Table } from "./readCsv";
import { guessEncoding, textOf } from "./readText";
import { readVcards } from "./readVcard";
import { VCARD_COLUMNS } from "./vcardColumns";
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
    expect(await read(text)).toMatchObject({
      table: { headings: ["Name", "Phone"], mapping: ["name", "phone"] },
      rows: [["A", "1"]],
    });
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
  it("with a quote that is not closed is stopped where it begins", async () => {
    const rows = Array.from(
      { length: 200 },
      (_, index) => `Person ${index},360 555 0${100 + index},${index} Kelp St,Larkhaven,WA`,
    );
    rows[3] = `"${rows[3]}`;
    await expect(read(["Name,Phone,Street,Town,State", ...rows].join("\n"))).rejects.toThrow(
      /from about line 5 on, one field goes over 197 lines.*quote before “Person 3,360 555 0103,3 Kelp St/,
    );
    const notes = Array.from({ length: 90 }, (_, index) => `line ${index}, with a comma`).join("\n");
    expect((await read(`Name,Notes\nA,"${notes.split("\n").slice(0, 15).join("\n")}"\n`)).rows).toHaveLength(1);
    expect((await read(`Name,Phone,Street,Town,Notes\nA,1,2,3,"one, two\nthree\nfour"\n`)).rows).toHaveLength(1);
    await expect(read(`Name;Notes\nA;"${"x\n".repeat(300)}"\n`)).rejects.toThrow(/probably not closed/);
  });
  it("without headings, or with others' headings, is read by what stands in it", async () => {
    expect(
      await read(
        "Maren Oyelaran,360 555 0111,maren@example.com,98099,2019\nNoor Haddad,360 555 0113,noor@example.com,98099,2010\n",
      ),
    ).toMatchObject({
      table: { headings: ["", "", "", "", ""], mapping: ["name", "phone", "email", "postcode", "carYear"] },
      rows: [
        ["Maren Oyelaran", "360 555 0111", "maren@example.com", "98099", "2019"],
        ["Noor Haddad"].concat("360 555 0113", "noor@example.com", "98099", "2010"),
      ],
    });
    expect(
      (
        await read(
          "Vorname;Nachname;Handy;Straße;Hausnummer;PLZ;Ort;Kennzeichen;Bemerkung\nMaren;Oyelaran;360 555 0111;Heron Landing;18;98099;Larkhaven;LRK1204;Hund\n",
        )
      ).table?.mapping,
    ).toEqual([
      "firstName",
      "lastName",
      "mobilePhone",
      "street",
      "houseNumber",
      "postcode",
      "town",
      "carPlate",
      "notes",
    ]);
    expect(
      (
        await read(
          "Wer,Womit,Post\nMaren Oyelaran,360 555 0111,maren@example.com\nNoor Haddad,360 555 0113,noor@example.com\n",
        )
      ).table?.mapping,
    ).toEqual(["name", "phone", "email"]);
  });
  it("of no rows, or of a thousand columns, is none", async () => {
    await expect(read("")).rejects.toThrow("the file has no rows");
    await expect(read(Array.from({ length: 501 }, () => "a").join(","))).rejects.toThrow("501 columns");
  });
  it("shows the first cells of each column, and names columns without a heading", () => {
    expect(
      samplesOf(
        ["Name", ""],
        [
          ["A", " "],
          ["B", "x"],
          ["", "y"],
          ["C", "z"],
          ["D", "w"],
        ],
      ),
    ).toEqual([
      { heading: "Name", samples: ["A", "B", "C"] },
      { heading: "Column 2", samples: ["x", "y", "z"] },
    ]);
  });
});

describe("vCards", () => {
  it("say what version 4.0 asks for, folded and escaped", () => {
    const card = toVcard(customer({ name: "Maren, Oyelaran; & Co", notes: `one\ntwo, three; ${"x".repeat(90)}` }));
    expect(card).toMatch(/^BEGIN:VCARD\r\nVERSION:4\.0\r\n/);
    expect(card).toContain("UID:urn:uuid:0190a000-0000-7000-8000-000000000001");
    expect(card.split("\r\n").every((line) => line.length <= 75)).toBe(true);
    expect(() => ICAL.parse(card) as unknown).not.toThrow();
    expect(readBack(card)).toMatchObject({
      name: "Maren, Oyelaran; & Co",
      details: { notes: `one\ntwo, three; ${"x".repeat(90)}` },
    });
  });
  it("bring back what they took out", () => {
    const details: Partial<CustomerDetails> = {
      phones: [
        { number: "+13605550111", extension: null, label: "Mobile" },
        { number: "+13605550196", extension: "12", label: "Work" },
      ],
      emails: [{ address: "maren@example.com", label: "" }],
      serviceAddresses: [
        {
          id: "a",
          label: "",
          access: noAccessNotes(),
          place: {
            street: "18 Heron Landing",
            town: "Larkhaven",
            region: "WA",
            postcode: "98099",
            latitude: null,
            longitude: null,
          },
        },
      ],
      contacts: [
        {
          id: "c",
          name: "Idris Oyelaran",
          role: "Spouse",
          phone: null,
          email: null,
          approvalLimitCents: 0,
          mayPay: false,
          mayHandOverKeys: false,
        },
      ],
    };
    const read = readBack(toVcard(customer(details)));
    expect(read).toMatchObject({ kind: "person", name: "Maren Oyelaran", fault: null, remarks: [] });
    expect(read.details.phones).toEqual(details.phones);
    expect(read.details.emails).toEqual(details.emails);
    expect(read.details.serviceAddresses[0]?.place.street).toBe("18 Heron Landing");
    expect(read.details.contacts[0]?.name).toBe("Idris Oyelaran");
    expect(readBack(toVcard(customer({ kind: "business", name: "Harbor Bread" })))).toMatchObject({
      kind: "business",
      name: "Harbor Bread",
    });
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
    const rows = cardsOf(
      `BEGIN:VCARD\nVERSION:4.0\nFN:Too Many\n${phones}\nEND:VCARD\nBEGIN:VCARD\nVERSION:4.0\nFN:Next\nEND:VCARD`,
    );
    expect(rows[0]?.[VCARD_COLUMNS.indexOf("notes")]).toMatch(/^Unreadable card \(it has \d+ characters\): BEGIN/);
    expect(rows[1]).toContain("Next");
    const some = phones.split("\n").slice(0, 1000).join("\n");
    const [row = []] = cardsOf(`BEGIN:VCARD\nVERSION:4.0\nFN:Many\n${some}\nEND:VCARD`);
    // Ten have a column, forty are told.
    expect(row[VCARD_COLUMNS.indexOf("leftOver")]).toContain("950 more values of this card were not taken in");
  });
  it("bring pictures along that nobody reads", () => {
    const photo = `PHOTO;ENCODING=b;TYPE=JPEG:${Array.from({ length: 3000 }, () => "A".repeat(74)).join("\r\n ")}`;
    const [row = []] = cardsOf(
      `BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Pictured\r\n${photo}\r\nTEL:360 555 0101\r\nEND:VCARD`,
    );
    expect(row).toContain("Pictured");
    expect(row).toContain("360 555 0101");
  });
  it("keep what finds no column in the notes", () => {
    const phones = Array.from({ length: 13 }, (_, index) => `TEL;TYPE=cell:360 555 01${10 + index}`).join("\n");
    const read = readBack(`BEGIN:VCARD\nVERSION:4.0\nFN:Many Phones\n${phones}\nBDAY:19700101\nEND:VCARD`);
    expect(read.details.phones).toHaveLength(10);
    expect(read.details.notes.split("\n")).toHaveLength(4);
    expect(read.remarks).toEqual([expect.stringContaining("has no place of its own")]);
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

describe("cards as other programs write them", () => {
  it("of version 2.1: types without a name, quoted-printable names over two lines, in a charset of their own", () => {
    const read = readBack(
      [
        "BEGIN:VCARD",
        "VERSION:2.1",
        "N;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:Kr=FCger;S=F6=",
        "la;;Dr.;",
        "TEL;CELL;PREF:360 555 0101",
        "TEL;WORK;VOICE:360 555 0102",
        "ADR;HOME;ENCODING=QUOTED-PRINTABLE:;Apt 4;12 Kelp Street;Larkhaven;WA;98099;",
        "NOTE;ENCODING=QUOTED-PRINTABLE:Gate sticks=0D=0Apush",
        "END:VCARD",
      ].join("\r\n"),
    );
    expect(read).toMatchObject({ name: "Dr. Söla Krüger", fault: null, remarks: [] });
    expect(read.details).toMatchObject({
      phones: [
        { number: "+13605550101", label: "Mobile" },
        { number: "+13605550102", label: "Work" },
      ],
      serviceAddresses: [{ place: { street: "12 Kelp Street, Apt 4", town: "Larkhaven", postcode: "98099" } }],
      notes: "Gate sticks\npush",
    });
  });
  it("with PO boxes, second addresses, escaped semicolons, labels in groups, and a title", () => {
    const read = readBack(
      [
        "BEGIN:VCARD",
        "VERSION:3.0",
        "FN:Gideon Maas",
        "ORG:Harbor Bread\\; Deliveries;Vans",
        "TITLE:Fleet manager",
        "item1.TEL:360 555 0151",
        "item1.X-ABLABEL:_$!<Dispatch>!$_",
        "ADR;TYPE=work:;;81 Ferry Slip Road\\; Dock 2;Larkhaven;WA;98099;",
        "ADR;TYPE=home:1140;;;Larkhaven;WA;98097;USA",
        "URL:https://example.com/vans",
        "END:VCARD",
      ].join("\n"),
    );
    expect(read).toMatchObject({ kind: "business", name: "Harbor Bread; Deliveries" });
    expect(read.details).toMatchObject({
      phones: [{ label: "Dispatch" }],
      contacts: [{ name: "Gideon Maas", role: "Fleet manager" }],
      serviceAddresses: [
        { place: { street: "81 Ferry Slip Road; Dock 2" } },
        { place: { street: "PO Box 1140", postcode: "98097" } },
      ],
      notes: "URL: https://example.com/vans",
    });
    expect(read.remarks).toEqual([expect.stringContaining("URL: https://example.com/vans")]);
  });
  it("without an end, and with lines that are none", () => {
    const rows = cardsOf(
      "BEGIN:VCARD\nVERSION:3.0\nFN:Endless One\nTEL:360 555 0101\nBEGIN:VCARD\nVERSION:3.0\nFN:Next\nwhat is this\nEND:VCARD\n",
    );
    expect(rows.map((row) => row[VCARD_COLUMNS.indexOf("name")])).toEqual(["Endless One", "Next"]);
    expect(rows[1]?.[VCARD_COLUMNS.indexOf("leftOver")]).toBe("what is this");
  });
});

describe("files that are no table", () => {
  it.each([
    ["a picture", Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16])],
    ["a spreadsheet or an archive", Buffer.from("PK\u0003\u0004xl")],
    ["a spreadsheet of an old kind", Buffer.from([0xd0, 0xcf, 0x11, 0xe0])],
    ["no text", Buffer.from(Array.from({ length: 400 }, (_, at) => (at % 5 === 0 ? 0 : at % 251)))],
  ])("are seen for what they are: %s", (kind, bytes) => {
    expect(kindOfNoText(bytes)).toBe(kind);
  });
  it("are told from text with a stray zero byte, or with two bytes a letter", () => {
    const stray = Buffer.from(`Name\u0000,Phone\n${"Maren,360 555 0111\n".repeat(40)}`);
    expect(kindOfNoText(stray)).toBeNull();
    expect(textOf(stray, guessEncoding(stray)).startsWith("Name,Phone")).toBe(true);
    for (const encoding of ["utf-16le", "utf-16be"]) {
      const wide = encode("Name,Phone\nMaren,360 555 0111\n".repeat(20), encoding);
      expect(kindOfNoText(wide)).toBeNull();
      expect(guessEncoding(wide)).toBe(encoding);
    }
  });
});
