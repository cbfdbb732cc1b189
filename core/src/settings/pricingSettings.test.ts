import { SETTINGS } from "../testing/sampleWorkOrder";
import { pricingSettings, pricingSettingsOf, withPricingSettings } from "./pricingSettings";

const BEFORE = pricingSettingsOf(SETTINGS.rules);

it("reads what was set before there were titles, and changes nothing by being saved", () => {
  expect(BEFORE.tables).toMatchObject([
    { id: "standard", title: "standard", kinds: [], bands: [{ upTo: null, times: 2 }] },
  ]);
  const saved = withPricingSettings(SETTINGS.rules, pricingSettings.parse(BEFORE));
  expect(pricingSettingsOf(saved)).toEqual(BEFORE);
  expect(saved).toMatchObject({ laborRateCents: 10_000, pricing: { taxes: SETTINGS.rules.pricing.taxes } });
});

it("takes an end and a target back", () => {
  const set = withPricingSettings(SETTINGS.rules, { ...BEFORE, quoteDays: 30, targetMarginPercent: 45 });
  expect(set).toMatchObject({ quoteDays: 30, targetMarginPercent: 45 });
  expect(withPricingSettings(set, BEFORE)).not.toHaveProperty("quoteDays");
});

it("refuses a dip nobody agreed to, bands that overlap, and one id twice", () => {
  const [table] = BEFORE.tables;
  const bands = [
    { upTo: 500, times: 3 },
    { upTo: null, times: 2 },
  ];
  const of = (over: object): boolean => pricingSettings.safeParse({ ...BEFORE, ...over }).success;
  expect(of({ tables: [{ ...table, bands, neverCheaper: false, mayDip: false }] })).toBe(false);
  expect(of({ tables: [{ ...table, bands, neverCheaper: false, mayDip: true }] })).toBe(true);
  expect(of({ tables: [{ ...table, bands: [bands[0], ...bands] }] })).toBe(false);
  expect(of({ tables: [table, table] })).toBe(false);
});
