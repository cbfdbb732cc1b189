import { quotePaper, shownQuote, type PaperBlock, type ShownQuote } from "@mechanon/core";
import { paperPdf } from "./paperPdf";

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
const draw = async (blocks: readonly PaperBlock[]): Promise<string> =>
  (await paperPdf({ title: "Paper", author: "Garage", language: "es", logo: null, blocks })).toString("latin1");
const quote = (shown: ShownQuote): Promise<string> =>
  draw(quotePaper(shown, { businessName: "Garage", businessPhone: "+13605550100", car: "Car", number: 7 }, "es"));
const pagesOf = (pdf: string): number => (pdf.match(/\/Type \/Page\b(?!s)/g) ?? []).length;

it("puts sixty lines on as many pages as they take, and an empty quote on one", async () => {
  const long = await quote(quoteOf(6, 10));
  expect(long.startsWith("%PDF-")).toBe(true);
  expect(pagesOf(long)).toBeGreaterThan(1);
  expect(pagesOf(await quote(quoteOf(0, 0)))).toBe(1);
});

it("keeps room to write by hand together, on the next page where this one is full", async () => {
  const room: PaperBlock = { is: "room", label: "Cause", lines: 2 };
  expect(pagesOf(await draw([room]))).toBe(1);
  expect(pagesOf(await draw(Array.from({ length: 25 }, () => room)))).toBe(3);
});
