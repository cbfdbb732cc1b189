import { shownQuote, type ShownQuote } from "@mechanon/core";
import { quotePdf } from "./quotePdf";

const line = (id: string, cents: number): object => ({
  ...{ id, kind: "part", words: `Part ${id} · mañana`, amount: 1, cents, taxIds: null },
});
const way = (id: string, lines: number): object => ({
  ...{ otherId: null, title: "", cents: 100 * lines, parts: [] },
  lines: Array.from({ length: lines }, (_, n) => line(`${id}-${n}`, 100)),
});
const quoteOf = (jobs: number, lines: number): ShownQuote =>
  shownQuote.parse({
    ...{ version: 1, language: "es", found: [], photos: [], discounts: [], payers: [], taxExempt: false },
    ...{ taxes: [{ id: "state", percent: 10, on: ["part"] }], diagnosisCreditPercent: 0, validUntil: "2026-12-18" },
    terms: "Net on the day.",
    jobs: Array.from({ length: jobs }, (_, n) => ({
      ...{ id: String(n), title: `Job ${n}`, concernId: null, isDiagnosis: false, off: null, payerId: null },
      ...{ pointIds: [], answer: null, isDone: false, before: null, ways: [way(String(n), lines)] },
    })),
  });
const paper = (shown: ShownQuote): Promise<Buffer> =>
  quotePdf({ businessName: "Garage", businessPhone: "1", car: "Car", number: 7, shown, language: shown.language });

it("puts sixty lines on as many pages as they take, and an empty quote on one", async () => {
  const long = (await paper(quoteOf(6, 10))).toString("latin1");
  const short = (await paper(quoteOf(0, 0))).toString("latin1");
  expect(long.startsWith("%PDF-")).toBe(true);
  const pages = (pdf: string): number => (pdf.match(/\/Type \/Page\b(?!s)/g) ?? []).length;
  expect(pages(long)).toBeGreaterThan(1);
  expect(pages(short)).toBe(1);
});
