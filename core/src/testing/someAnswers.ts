import fc from "fast-check";
import type { ChosenAnswer } from "../approvals/sumShown";
import type { Job, QuoteSlice } from "../quoting/slice";
import type { QuoteLine } from "../quoting/quoteLine";
import { SETTINGS } from "./sampleWorkOrder";

const cents = fc.integer({ min: 0, max: 90_000 });
const amount = fc.integer({ min: 0, max: 90_000 }).map((value) => value / 10_000);
const off = fc.oneof(
  fc.record({ percent: fc.integer({ min: 0, max: 100 }) }),
  fc.record({ amountCents: fc.integer({ min: 0, max: 20_000 }) }),
);
const MARKUP = "standard";

function someLine(id: string): fc.Arbitrary<QuoteLine> {
  const base = { id: fc.constant(id), description: fc.constant(`Line ${id}`) };
  return fc.oneof(
    fc.record({ ...base, kind: fc.constant("labor" as const), hours: amount, rateCents: cents, wageCents: cents, paidHours: fc.constant(null) }),
    fc.record({ ...base, kind: fc.constant("part" as const), quantity: amount, costCents: cents, markup: fc.constant(MARKUP), priceCents: fc.constant(null), partNumber: fc.constant(null), brand: fc.constant(null), off }),
    fc.record({ ...base, kind: fc.constant("fee" as const), quantity: amount, priceCents: cents, taxIds: fc.constantFrom<string[][]>([], ["state"]) }),
    fc.record({ ...base, kind: fc.constant("sublet" as const), costCents: cents, percent: fc.integer({ min: 0, max: 60 }), priceCents: fc.constant(null) }),
    fc.record({ ...base, kind: fc.constant("core" as const), quantity: amount, priceCents: cents }),
  );
} // prettier-ignore

function someJob(index: number): fc.Arbitrary<Job> {
  const lines = fc
    .tuple(someLine(`${index}a`), someLine(`${index}b`), someLine(`${index}c`))
    .map((three) => [...three]);
  return fc
    .record({
      lines,
      other: fc.option(fc.tuple(someLine(`${index}d`), someLine(`${index}e`)).map((two) => [...two])),
      off: fc.option(off),
      payerId: fc.option(fc.constant("fleet")),
      setPriceCents: fc.option(cents),
      isDiagnosis: fc.boolean(),
    })
    .map(({ lines: own, other, off: less, payerId, setPriceCents, isDiagnosis }) => ({
      ...{ id: String(index), title: `Job ${index}`, libraryJobId: null, concernId: "c1", pointIds: [], lines: own },
      ...{ addedAt: "2026-11-23T15:00:00.000Z", answer: null, finishedAt: null },
      ...(other ? { others: [{ id: `other-${index}`, title: "Better", lines: other }] } : {}),
      ...(less ? { off: less } : {}),
      ...(payerId ? { payerId } : {}),
      ...(setPriceCents === null ? {} : { setPrice: { priceCents: setPriceCents, included: [] } }),
      ...(isDiagnosis ? { isDiagnosis } : {}),
    }));
}

/** Any quote of four jobs, with all that is taken off and put on, and any answers to it. */
export const someAnswers = fc.record({
  quote: fc
    .record({
      jobs: fc.tuple(someJob(1), someJob(2), someJob(3), someJob(4)),
      discount: fc.option(fc.record({ on: fc.constantFrom("labor" as const, "part" as const, "all" as const), off })),
      diagnosisCreditPercent: fc.integer({ min: 0, max: 100 }),
      taxExempt: fc.boolean(),
    })
    .map(({ jobs, discount, diagnosisCreditPercent, taxExempt }): QuoteSlice => ({
      rules: { ...SETTINGS.rules, diagnosisCreditPercent },
      taxExempt,
      jobs: [...jobs],
      payers: [{ id: "fleet", name: "Heron Fleet", isExempt: false }],
      ...(discount ? { discounts: [{ id: "d", title: "Neighbor", offerId: null, ...discount }] } : {}),
    })),
  chosen: fc
    .array(
      fc.record<ChosenAnswer>({
        value: fc.constantFrom("yes" as const, "later" as const, "no" as const),
        otherId: fc.constantFrom(null, "other"),
      }),
      { minLength: 4, maxLength: 4 },
    )
    .map(
      (answers) =>
        new Map(
          answers.map(({ value, otherId }, index) => [
            String(index + 1),
            { value, otherId: otherId && `other-${index + 1}` },
          ]),
        ),
    ),
});
