import { z } from "zod";
import { asCode, centsField, decimalField, nameField, percentOfField } from "../../calc/fields";

const exactlyOne = (value: { percent?: number | null; amount?: number | null }): boolean =>
  (value.percent ?? null) === null ? (value.amount ?? null) !== null : (value.amount ?? null) === null;
const ONE_OF_TWO = asCode("not-allowed", "must have either percent or amount");

/** A share or an amount off; exactly one of the two. */
export const discountInput = z
  .strictObject({ percent: percentOfField.nullish(), amount: centsField.nullish() })
  .refine(exactlyOne, ONE_OF_TWO);
export type DiscountInput = z.infer<typeof discountInput>;

/** What a line can be: labor, a part, a fee, work bought from another business, a deposit that comes back. */
export const LINE_KINDS = ["labor", "part", "fee", "sublet", "core"] as const;
export type LineKind = (typeof LINE_KINDS)[number];

const common = { id: nameField, taxes: z.array(nameField).nullish() };
const discounted = { ...common, discount: discountInput.nullish() };
export const lineInput = z.discriminatedUnion("kind", [
  z.strictObject({
    ...discounted,
    kind: z.literal("labor"),
    hours: decimalField,
    rate: centsField,
    wage: centsField.nullish(),
    paidHours: decimalField.nullish(),
  }),
  z.strictObject({
    ...discounted,
    kind: z.literal("part"),
    quantity: decimalField,
    cost: centsField,
    markup: nameField.nullish(),
    price: centsField.nullish(),
  }),
  z.strictObject({
    ...discounted,
    kind: z.literal("fee"),
    quantity: decimalField,
    cost: centsField.nullish(),
    markup: nameField.nullish(),
    price: centsField.nullish(),
  }),
  z.strictObject({ ...discounted, kind: z.literal("sublet"), cost: centsField, percent: decimalField }),
  z.strictObject({ ...common, kind: z.literal("core"), quantity: decimalField, price: centsField }),
]);
export type LineInput = z.infer<typeof lineInput>;

export const markupInput = z.strictObject({
  bands: z.array(z.strictObject({ upTo: centsField.nullish(), times: decimalField })),
  neverCheaper: z.boolean().nullish(),
  ending: z.number().int().min(0).max(99).nullish(),
});
export type MarkupInput = z.infer<typeof markupInput>;

export const taxInput = z.strictObject({ id: nameField, percent: decimalField, on: z.array(z.enum(LINE_KINDS)) });
export const rulesInput = z.strictObject({
  markup: z.record(z.string(), markupInput).nullish(),
  taxes: z.array(taxInput).nullish(),
  supplies: z.strictObject({ percentOfLabor: decimalField, cap: centsField.nullish() }).nullish(),
});
export type RulesInput = z.infer<typeof rulesInput>;

export const setPriceInput = z.strictObject({
  price: centsField,
  included: z.array(z.strictObject({ line: nameField, quantity: decimalField, extraEach: centsField })).nullish(),
});

export const jobInput = z.strictObject({
  id: nameField,
  payer: nameField,
  answer: z.string().nullish(),
  setPrice: setPriceInput.nullish(),
  discount: discountInput.nullish(),
  lines: z.array(lineInput),
});
export type JobInput = z.infer<typeof jobInput>;

/** A whole quote to price: rules, payers, jobs with their lines, discounts on the visit. */
export const priceInput = z.strictObject({
  rules: rulesInput,
  payers: z.array(z.strictObject({ id: nameField, taxExempt: z.boolean().nullish() })),
  jobs: z.array(jobInput),
  discounts: z
    .array(
      z
        .strictObject({
          id: nameField,
          on: z.enum(["labor", "part", "all"]),
          percent: percentOfField.nullish(),
          amount: centsField.nullish(),
        })
        .refine(exactlyOne, ONE_OF_TWO),
    )
    .nullish(),
  count: z.enum(["approved", "all"]),
});
export type PriceInput = z.infer<typeof priceInput>;
