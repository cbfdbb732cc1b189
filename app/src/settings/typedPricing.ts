import {
  DISCOUNTED,
  LINE_KINDS,
  PART_KINDS,
  pricingSettingsOf,
  readMoney,
  type BusinessSettings,
  type PricingSettings,
  type PricingTable,
} from "@mechanon/core";
import { z } from "zod";
import { readAmount } from "../quote/readAmount";
import { readDiscount, typedDiscount } from "../quote/discountWords";
import { begunFrom } from "./begunFrom";
import { bandsFault, readBands, typedBandsOf } from "./typedBands";
import { wholeNumber } from "./wholeNumber";

const typedBand = z.object({ from: z.string(), upTo: z.string(), times: z.string() });
const typedTax = z.object({ name: z.string(), percent: z.string(), on: z.array(z.enum(LINE_KINDS)), from: z.string() });
const FEE_ON = ["part", "labor", "afterHours"] as const;

/** Prices as they are typed. */
export const typedPricing = z.object({
  base: begunFrom,
  tables: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      kinds: z.array(z.enum(PART_KINDS)),
      supplierIds: z.array(z.string()),
      bands: z.array(typedBand),
      neverCheaper: z.boolean(),
      ending: z.string(),
      mayDip: z.boolean(),
    }),
  ),
  fees: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      price: z.string(),
      what: z.enum(FEE_ON),
      kinds: z.array(z.enum(PART_KINDS)),
      each: z.boolean(),
      isUntaxed: z.boolean(),
    }),
  ),
  offers: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      on: z.enum(DISCOUNTED),
      off: z.string(),
      code: z.string(),
      foundUsBy: z.string(),
      until: z.string(),
    }),
  ),
  suppliesPercent: z.string(),
  suppliesCap: z.string(),
  taxes: z.array(typedTax),
  taxPlaces: z.array(
    z.object({ id: z.string(), title: z.string(), postcodes: z.string(), towns: z.string(), taxes: z.array(typedTax) }),
  ),
  target: z.string(),
  days: z.string(),
  // Absent in what was typed before there was one.
  tolerancePercent: z.string().default(""),
  toleranceAmount: z.string().default(""),
});
export type TypedPricing = z.input<typeof typedPricing>;
export type TypedTable = TypedPricing["tables"][number];
export type TypedTax = TypedPricing["taxes"][number];

const AMOUNT = "an amount looks like 84.50";
const PERCENT = "a number from 0 to 100, like 6.5";
const MOST_PERCENT = 100;
const title = z.string().trim().min(1, "a name is needed").max(60, "up to 60 letters");
const isPercent = (typed: string): boolean => (readAmount(typed) ?? Infinity) <= MOST_PERCENT;
const isDay = (typed: string): boolean => typed.trim() === "" || z.iso.date().safeParse(typed.trim()).success;
const DAY = "a day like 2027-01-31, or empty";

const readTax = typedTax.extend({ name: title }).superRefine(({ percent, from }, context) => {
  const fault = (path: string, message: string): void => context.addIssue({ code: "custom", path: [path], message });
  if (!isPercent(percent)) fault("percent", PERCENT);
  if (!isDay(from)) fault("from", DAY);
});

const readTable = typedPricing.shape.tables.element.extend({ title }).superRefine((table, context) => {
  const fault = (path: string, message: string): void => context.addIssue({ code: "custom", path: [path], message });
  if (table.ending.trim() !== "" && !/^\d{1,2}$/.test(table.ending.trim()))
    fault("ending", "two digits like 95, or empty");
  const bands = bandsFault(table);
  if (bands !== null) fault("title", bands);
});

/** What was typed about prices, read. */
export const readPricing = typedPricing.extend({
  tables: z.array(readTable),
  fees: z.array(
    typedPricing.shape.fees.element.extend({ title }).superRefine(({ price, what, kinds }, context) => {
      const fault = (path: string, message: string): void =>
        context.addIssue({ code: "custom", path: [path], message });
      if (readMoney(price) === null) fault("price", AMOUNT);
      if (what === "part" && kinds.length === 0) fault("title", "choose the kinds of parts it hangs on");
    }),
  ),
  offers: z.array(
    typedPricing.shape.offers.element.extend({ title }).superRefine(({ off, until }, context) => {
      const fault = (path: string, message: string): void =>
        context.addIssue({ code: "custom", path: [path], message });
      if (!readDiscount(off)) fault("off", "10% or 25.00");
      if (!isDay(until)) fault("until", DAY);
    }),
  ),
  suppliesPercent: z.string().refine((typed) => typed.trim() === "" || isPercent(typed), `${PERCENT}, or empty`),
  suppliesCap: z.string().refine((typed) => typed.trim() === "" || readMoney(typed) !== null, `${AMOUNT}, or empty`),
  taxes: z.array(readTax),
  taxPlaces: z.array(typedPricing.shape.taxPlaces.element.extend({ title, taxes: z.array(readTax) })),
  tolerancePercent: z
    .string()
    .default("")
    .refine((typed) => typed.trim() === "" || isPercent(typed), `${PERCENT}, or empty`),
  toleranceAmount: z
    .string()
    .default("")
    .refine((typed) => typed.trim() === "" || readMoney(typed) !== null, `${AMOUNT}, or empty`),
  target: z.string().refine((typed) => typed.trim() === "" || isPercent(typed), `${PERCENT}, or empty`),
  days: z
    .string()
    .transform(wholeNumber)
    .pipe(z.int("whole days, or empty").min(1, "at least a day").max(3650, "ten years at most").nullable()),
});

const money = (cents: number): string => (cents / 100).toFixed(2);
const listOf = (typed: string): string[] =>
  typed.split(",").flatMap((each) => (each.trim() === "" ? [] : [each.trim()]));
const orNull = (typed: string): string | null => (typed.trim() === "" ? null : typed.trim());

/** What stands about prices, as it would be typed. */
export function typedPricingOf(base: BusinessSettings): TypedPricing {
  const { tables, fees, offers, supplies, taxes, taxPlaces, targetMarginPercent, quoteDays, tolerance } =
    pricingSettingsOf(base.rules);
  return {
    base,
    tables: tables.map(({ id, title: called, kinds, supplierIds, bands, neverCheaper, ending, mayDip }) => ({
      id,
      title: called,
      kinds,
      supplierIds,
      bands: typedBandsOf(bands),
      neverCheaper,
      ending: ending === null ? "" : String(ending).padStart(2, "0"),
      mayDip,
    })),
    fees: fees.map(({ id, title: called, priceCents, on, isUntaxed }) => ({
      id,
      title: called,
      price: money(priceCents),
      what: on.what,
      kinds: on.what === "part" ? on.kinds : [],
      each: on.what === "part" ? on.each : false,
      isUntaxed,
    })),
    offers: offers.map(({ id, title: called, on, off, code, foundUsBy, until }) => ({
      ...{ id, title: called, on, off: typedDiscount(off) },
      ...{ code: code ?? "", foundUsBy: foundUsBy ?? "", until: until ?? "" },
    })),
    suppliesPercent: supplies ? String(supplies.percentOfLabor) : "",
    suppliesCap: supplies?.cap === null || supplies?.cap === undefined ? "" : money(supplies.cap),
    taxes: taxes.map((tax) => typedTaxOf({ ...tax, from: null })),
    taxPlaces: taxPlaces.map(({ id, title: called, postcodes, towns, taxes: own }) => ({
      ...{ id, title: called, postcodes: postcodes.join(", "), towns: towns.join(", ") },
      taxes: own.map(typedTaxOf),
    })),
    target: targetMarginPercent === null ? "" : String(targetMarginPercent),
    days: quoteDays === null ? "" : String(quoteDays),
    tolerancePercent: tolerance?.percent === undefined ? "" : String(tolerance.percent),
    toleranceAmount: tolerance?.amountCents === undefined ? "" : money(tolerance.amountCents),
  };
}

type PlaceTax = PricingSettings["taxPlaces"][number]["taxes"][number];

function typedTaxOf({ id, percent, on, from }: PlaceTax): TypedTax {
  return { name: id, percent: String(percent), on, from: from ?? "" };
}

/** What was read, as it is stored. */
export function pricingOf(read: z.output<typeof readPricing>): PricingSettings {
  const percent = readAmount(read.suppliesPercent);
  const cap = orNull(read.suppliesCap);
  return {
    tables: read.tables.map(tableOf),
    fees: read.fees.map(({ id, title: called, price, what, kinds, each, isUntaxed }) => ({
      ...{ id, title: called, priceCents: readMoney(price) ?? 0, isUntaxed },
      on: what === "part" ? { what, kinds, each } : { what },
    })),
    offers: read.offers.map(({ id, title: called, on, off, code, foundUsBy, until }) => ({
      ...{ id, title: called, on, off: readDiscount(off) ?? { percent: 0 } },
      ...{ code: orNull(code), foundUsBy: orNull(foundUsBy), until: orNull(until) },
    })),
    supplies: percent === null ? null : { percentOfLabor: percent, cap: cap === null ? null : readMoney(cap) },
    taxes: read.taxes.map((tax) => {
      const { from: _always, ...usual } = taxOf(tax);
      return usual;
    }),
    taxPlaces: read.taxPlaces.map(({ id, title: called, postcodes, towns, taxes }) => ({
      ...{ id, title: called, postcodes: listOf(postcodes), towns: listOf(towns) },
      taxes: taxes.map(taxOf),
    })),
    targetMarginPercent: readAmount(read.target),
    quoteDays: read.days,
    tolerance: toleranceOf(readAmount(read.tolerancePercent), readMoney(read.toleranceAmount)),
  };
}

function toleranceOf(percent: number | null, amountCents: number | null): PricingSettings["tolerance"] {
  if (percent === null && amountCents === null) return null;
  return { ...(percent === null ? {} : { percent }), ...(amountCents === null ? {} : { amountCents }) };
}

function taxOf({ name, percent, on, from }: TypedTax): PlaceTax {
  return { id: name.trim(), percent: readAmount(percent) ?? 0, on, from: orNull(from) };
}

/** A table that was read, as it is stored. */
export function tableOf({
  id,
  title: called,
  kinds,
  supplierIds,
  bands,
  neverCheaper,
  ending,
  mayDip,
}: TypedTable): PricingTable {
  return {
    ...{ id, title: called.trim(), kinds, supplierIds, bands: readBands(bands), neverCheaper, mayDip },
    ending: ending.trim() === "" ? null : Number(ending.trim()),
  };
}
