import { guessByContents, isHeadless } from "./guessByContents";
import { guessColumns, type ImportField } from "./importFields";
import { withoutFormulaGuard } from "./cells";
import { readImportRow } from "./readImportRow";

describe("columns", () => {
  it.each<[string, ImportField | null]>([
    ["First Name", "firstName"],
    [" LAST_NAME ", "lastName"],
    ["E-Mail", "email"],
    ["ZIP Code", "postcode"],
    ["Cell", "mobilePhone"],
    ["Licence plate", "carPlate"],
    ["Fleet Number", "carUnit"],
    ["Shoe size", null],
    ["", null],
  ])("headed %p are guessed as %p", (heading, field) => expect(guessColumns([heading])).toEqual([field]));
});

describe("a row", () => {
  const row = (cells: Partial<Record<ImportField, string>>) =>
    readImportRow(Object.values(cells), Object.keys(cells) as ImportField[]);

  it("is a person with phones, address and car", () => {
    const read = row({
      firstName: "maren",
      lastName: "oyelaran",
      mobilePhone: "360.555.0111 x7",
      street: "18 Heron Landing",
      carVin: "1hgcv1f34ka048217",
      carYear: "2019",
      carUnit: "12",
    });
    expect(read).toMatchObject({
      kind: "person",
      name: "Maren Oyelaran",
      fault: null,
      remarks: [],
      details: {
        phones: [{ number: "+13605550111", extension: "7", label: "Mobile" }],
        serviceAddresses: [{ place: { street: "18 Heron Landing" } }],
      },
      car: { vin: "1HGCV1F34KA048217", year: 2019, unitNumber: "12" },
    });
  });
  it("keeps two extensions of one number, and the same one twice once", () => {
    const number = "360 555 0111";
    const { details } = row({
      name: "A",
      phone: `${number} x7`,
      mobilePhone: `${number} x8`,
      homePhone: `${number} x7`,
    });
    expect(details.phones.map(({ extension }) => extension).sort()).toEqual(["7", "8"]);
  });
  it("is a business with the person as contact", () => {
    expect(row({ business: "Harbor Bread", name: "Gideon Maas" })).toMatchObject({
      kind: "business",
      name: "Harbor Bread",
      details: { contacts: [{ name: "Gideon Maas" }] },
    });
  });
  it("keeps what does not fit in the notes, and tells", () => {
    const read = row({
      name: "A",
      phone: "12",
      email: "a@b; c@example.com",
      carYear: "19",
      carMake: "Honda",
      contactName: "B",
      contactPhone: "x",
    });
    expect(read.details.emails).toEqual([{ address: "c@example.com", label: "" }]);
    expect(read.details.notes.split("\n")).toEqual([
      "Phone as it came: 12",
      "Email as it came: a@b",
      "Phone as it came: x",
      "Year as it came: 19",
    ]);
    expect(read.remarks).toHaveLength(4);
  });
  it("takes a formula for text, and the apostrophe before one off", () => {
    expect(row({ name: "=cmd|' /C calc'!A0" })).toMatchObject({
      name: "=cmd|' /C calc'!A0",
      remarks: [expect.stringContaining("formula")],
    });
    expect(withoutFormulaGuard("'=1+1")).toBe("=1+1");
    expect(withoutFormulaGuard("'Aolani")).toBe("'Aolani");
  });
  it.each([
    [{ phone: "360 555 0111" }, "no name and no business name"],
    [{ name: "  " }, "the row is empty"],
  ])("%p is not taken: %s", (cells, fault) => expect(row(cells).fault).toBe(fault));
  it("is cut where a name is longer than any, and keeps no control signs", () => {
    expect(row({ name: "x".repeat(400) }).name).toHaveLength(300);
    expect(row({ name: "a\u0000b" }).name).toBe("Ab");
  });
  it("misses columns without harm", () => {
    expect(readImportRow(["Maren"], ["name", "phone", "carVin"])).toMatchObject({ fault: null, car: null });
  });
});

describe("columns by what stands in them", () => {
  it("are guessed whole where no heading says anything", () => {
    const rows = [["Maren Oyelaran", "360 555 0111", "WA", "98099", "2019"]];
    expect(guessByContents(["", "", "", "", ""], rows)).toEqual(["name", "phone", "region", "postcode", "carYear"]);
  });
  it("under a heading nobody knows only where they can be nothing else", () => {
    const rows = [["Maren Oyelaran", "OK", "40112", "maren@example.com"]];
    expect(guessByContents(["Name", "Status", "Number", "Net"], rows)).toEqual(["name", null, null, "email"]);
  });
  it.each([
    [["Maren Oyelaran", "360 555 0111"], true],
    [["Name", "360 555 0111"], false],
    [["Wer", "Womit"], false],
  ])("%j is a row of its own: %s", (first, headless) => {
    expect(isHeadless(first)).toBe(headless);
  });
});
