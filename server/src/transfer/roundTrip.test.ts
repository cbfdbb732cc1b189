import fc from "fast-check";
import { noDetails, readImportRow, tidyName, type CustomerDetails, type ImportedRow } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";
import { customerHeadings, customerLine, type Widths } from "./customerCsv";
import { csv } from "./csv";
import { readCsv } from "./readCsv";
import { readVcards } from "./readVcard";
import { toVcard } from "./vcard";
import { VCARD_COLUMNS } from "./vcardColumns";

const WIDTHS: Widths = { phones: 3, emails: 3, sites: 3, contacts: 3 };

/** Words as people type them, with what files use for themselves among them. */
const words = (maxLength: number): fc.Arbitrary<string> =>
  fc
    .string({ unit: fc.constantFrom(..."abzÄß 0179,;:\\\"'=+-@#&/.()漢🚗"), minLength: 1, maxLength })
    .map((text) => text.trim().replace(/\s+/g, " "));
const name = words(30).map((text) => tidyName(`X${text}`));
const notes = fc.array(words(30), { maxLength: 4 }).map((lines) => lines.filter(Boolean).join("\n"));
const label = fc.oneof(fc.constantFrom("", "Mobile", "Work", "Home"), words(20));
const number = fc.integer({ min: 2_000_000, max: 9_999_999 }).map((local) => `+1360${local}`);
const phone = fc.record({ number, extension: fc.constantFrom(null, "4", "512"), label });
const email = fc.record({ address: fc.integer({ min: 1, max: 9999 }).map((each) => `who${each}@example.com`), label });
// A backslash before a semicolon comes back with a blank between them.
const part = (maxLength: number): fc.Arbitrary<string> => words(maxLength).map((text) => text.replace(/\\+;/g, ";"));
const place = fc.record({
  street: part(40),
  town: part(20),
  region: fc.constantFrom("WA", "OR", ""),
  postcode: fc.constantFrom("98099", ""),
  latitude: fc.constant(null),
  longitude: fc.constant(null),
});
const access = fc.record({
  gateCode: fc.oneof(fc.constant(""), words(8)),
  dog: fc.oneof(fc.constant(""), words(12)),
  slope: fc.constantFrom("", "Steep"),
  heightLimit: fc.constantFrom("", "8 ft 2 in"),
  surface: fc.constantFrom("", "Gravel"),
  note: fc.oneof(fc.constant(""), words(40)),
});
const unique = <T>(list: fc.Arbitrary<T>, keyOf: (item: T) => string): fc.Arbitrary<T[]> =>
  fc.uniqueArray(list, { maxLength: 3, selector: keyOf });
const details: fc.Arbitrary<CustomerDetails> = fc
  .record({
    knownFrom: fc.oneof(fc.constant(""), words(20)),
    phones: unique(phone, (each) => each.number),
    emails: unique(email, ({ address }) => address),
    serviceAddresses: unique(fc.record({ id: fc.constant(""), label, place, access }), (each) => each.place.street),
    billingAddress: fc.oneof(fc.constant(null), place),
    contacts: unique(
      fc.record({
        id: fc.constant(""),
        name,
        role: fc.oneof(fc.constantFrom("", "Spouse", "Driver"), words(20)),
        phone: fc.oneof(
          fc.constant(null),
          fc.record({ number, extension: fc.constantFrom(null, "3"), label: fc.constant("") }),
        ),
        email: fc.oneof(fc.constant(null), fc.constant("contact@example.com")),
        approvalLimitCents: fc.constant(0),
        mayPay: fc.constant(false),
        mayHandOverKeys: fc.constant(false),
      }),
      (each) => each.name,
    ),
    taxExemption: fc.oneof(
      fc.constant(null),
      words(20)
        .filter(Boolean)
        .map((text) => ({ number: `N${text}` })),
    ),
    usualPayer: fc.oneof(
      fc.constant(null),
      name.map((payer) => ({ name: payer, customerId: null })),
    ),
    foundUsBy: fc.oneof(
      fc.constant(null),
      words(20).map((text) => `F${text}`),
    ),
    notes,
  })
  .map((some) => ({ ...noDetails(), ...some }));

const customers = fc
  .record({ kind: fc.constantFrom("person" as const, "business" as const), name, details })
  .map(({ kind, name: own, details: known }): Customer => ({
    id: "0190a000-0000-7000-8000-000000000001",
    kind,
    name: own,
    ...known,
    version: 1,
    createdAt: "2026-01-01T00:00:00.000Z",
    erasedAt: null,
  }));

/** What must come back: all but what only the record itself has. */
function expectBack(read: ImportedRow, customer: Customer): void {
  const { id, kind, name: own, version: _version, createdAt: _at, erasedAt: _erased, ...known } = customer;
  expect(read).toMatchObject({ ownId: id, kind, name: own, fault: null });
  expect(read.details).toEqual(known);
}

it("CSV brings back every phone, email, place, contact and note it took out, whatever stands in them", async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(customers, { minLength: 1, maxLength: 4 }), async (all) => {
      const text = csv(
        customerHeadings(WIDTHS),
        all.map((customer) => customerLine(customer, WIDTHS)),
      );
      const read: ImportedRow[] = [];
      let mapping: Parameters<typeof readImportRow>[1] = [];
      await readCsv(
        text,
        (table) => (mapping = table.mapping),
        (rows) => Promise.resolve(void read.push(...rows.map((row) => readImportRow(row, mapping)))),
      );
      expect(mapping).not.toContain(null);
      expect(read).toHaveLength(all.length);
      all.forEach((customer, index) => expectBack(read[index] as ImportedRow, customer));
    }),
    { numRuns: 150 },
  );
});

it("vCards bring it back likewise", () => {
  fc.assert(
    fc.property(fc.array(customers, { minLength: 1, maxLength: 3 }), (all) => {
      const rows = [...readVcards(all.map(toVcard).join(""))];
      expect(rows).toHaveLength(all.length);
      all.forEach((customer, index) => expectBack(readImportRow(rows[index] ?? [], VCARD_COLUMNS), customer));
    }),
    { numRuns: 150 },
  );
});

it("a place without anything but its label is none", () => {
  expect(readImportRow(["Maren", "Home"], ["name", "placeLabel"]).details.serviceAddresses).toEqual([]);
});
