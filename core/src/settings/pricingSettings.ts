import { z } from "zod";
import { tolerance, type MoneyRules } from "../quoting/moneyRules";
import { markupDips, markupFault } from "../quoting/markupFault";
import { markupInput, rulesInput, taxInput } from "../quoting/price/input";
import { discountOffer, feeRule, marginPercent, markupTable, taxPlace } from "../quoting/pricingRules";

const MOST_TABLES = 30;
const MOST_BANDS = 40;
const MOST_FEES = 40;
const MOST_OFFERS = 60;
const MOST_PLACES = 60;
const MOST_TAXES = 20;

/** A markup table as the owner sets it: what it is called and for, and its bands. */
const pricingTable = markupTable.extend({
  bands: markupInput.shape.bands.min(1).max(MOST_BANDS),
  neverCheaper: z.boolean(),
  ending: z.number().int().min(0).max(99).nullable(),
  /** The owner knows that a dearer part may sell for less than a cheaper one. */
  mayDip: z.boolean(),
});
export type PricingTable = z.infer<typeof pricingTable>;

const once = (what: string) =>
  [
    (items: readonly { id: string }[]) => new Set(items.map(({ id }) => id)).size === items.length,
    `two ${what} have one id`,
  ] as const;

/** What the owner sets about prices beside labor. */
export const pricingSettings = z.strictObject({
  /** Of those that fit a part the first stands. */
  tables: z
    .array(
      pricingTable.superRefine((table, context) => {
        const fault = markupFault(table);
        if (fault !== null) context.addIssue({ code: "custom", message: `${table.title}: ${fault}` });
      }),
    )
    .max(MOST_TABLES)
    .refine(...once("tables")),
  fees: z
    .array(feeRule)
    .max(MOST_FEES)
    .refine(...once("fees")),
  offers: z
    .array(discountOffer)
    .max(MOST_OFFERS)
    .refine(...once("discounts")),
  supplies: rulesInput.shape.supplies,
  /** Those that hold where no place of the list does. */
  taxes: z
    .array(taxInput)
    .max(MOST_TAXES)
    .refine(...once("taxes")),
  taxPlaces: z
    .array(taxPlace)
    .max(MOST_PLACES)
    .refine(...once("places")),
  targetMarginPercent: marginPercent.nullable(),
  quoteDays: z.number().int().min(1).max(3650).nullable(),
  /** Null, and left out by an older app: a yes holds for its price to the cent. */
  tolerance: tolerance.nullable().default(null),
});
export type PricingSettings = z.infer<typeof pricingSettings>;

/** What stands about prices among the money rules; a table of before is called as its id, and fits all parts. */
export function pricingSettingsOf(rules: MoneyRules): PricingSettings {
  const { pricing, markupTables = [], fees = [], offers = [], taxPlaces = [] } = rules;
  const markup = pricing.markup ?? {};
  const named = markupTables.filter(({ id }) => Object.hasOwn(markup, id));
  const unnamed = Object.keys(markup)
    .filter((id) => !named.some((table) => table.id === id))
    .map((id) => ({ id, title: id, kinds: [], supplierIds: [] }));
  return {
    tables: [...named, ...unnamed].map((table) => {
      const kept = markup[table.id] ?? { bands: [] };
      const neverCheaper = kept.neverCheaper ?? false;
      return {
        ...table,
        bands: kept.bands.map(({ upTo, times }) => ({ upTo: upTo ?? null, times })),
        neverCheaper,
        ending: kept.ending ?? null,
        // A dip that stands was agreed to when it was set.
        mayDip: !neverCheaper && markupDips(kept).length > 0,
      };
    }),
    fees,
    offers,
    supplies: pricing.supplies ?? null,
    taxes: [...(pricing.taxes ?? [])],
    taxPlaces,
    targetMarginPercent: rules.targetMarginPercent ?? null,
    quoteDays: rules.quoteDays ?? null,
    tolerance: rules.tolerance ?? null,
  };
}

/** Money rules with prices as the owner set them. */
export function withPricingSettings(rules: MoneyRules, pricing: PricingSettings): MoneyRules {
  const { targetMarginPercent: _target, quoteDays: _days, tolerance: _tolerance, ...others } = rules;
  const { tables, fees, offers, supplies, taxes, taxPlaces, targetMarginPercent, quoteDays, tolerance: held } = pricing;
  return {
    ...others,
    pricing: {
      markup: Object.fromEntries(
        tables.map(({ id, bands, neverCheaper, ending }) => [id, { bands, neverCheaper, ending }]),
      ),
      taxes,
      supplies: supplies ?? null,
    },
    markupTables: tables.map(({ id, title, kinds, supplierIds }) => ({ id, title, kinds, supplierIds })),
    fees,
    offers,
    taxPlaces,
    ...(targetMarginPercent === null ? {} : { targetMarginPercent }),
    ...(quoteDays === null ? {} : { quoteDays }),
    ...(held === null ? {} : { tolerance: held }),
  };
}
