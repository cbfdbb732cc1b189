import type { LaborRate, MoneyRules } from "@mechanon/core";

const NEVER: LaborRate["when"] = {
  isDiagnosis: false,
  vehicleClasses: [],
  powers: [],
  olderThanYears: null,
  isAfterHours: false,
  hasCustomersPart: false,
};

/** How the demo business makes its prices. */
export const MONEY_RULES: MoneyRules = {
  laborRateCents: 13800,
  wageCents: 3900,
  rates: [
    { id: "customers-part", title: "Customer’s part", cents: 16500, when: { ...NEVER, hasCustomersPart: true } },
    { id: "after-hours", title: "After hours", cents: 18500, when: { ...NEVER, isAfterHours: true } },
    { id: "diagnosis", title: "Diagnosis", cents: 15500, when: { ...NEVER, isDiagnosis: true } },
    {
      id: "electric",
      title: "Electric and hybrid",
      cents: 16800,
      when: { ...NEVER, powers: ["hybrid", "plugInHybrid", "electric"] },
    },
    { id: "heavy", title: "Heavy", cents: 15800, when: { ...NEVER, vehicleClasses: ["heavy"] } },
    { id: "old", title: "Old car", cents: 14800, when: { ...NEVER, olderThanYears: 25 } },
  ],
  workHours: { weekdays: [1, 2, 3, 4, 5, 6, 7], fromMinute: 6 * 60, untilMinute: 21 * 60 },
  diagnosisCreditPercent: 100,
  markupTables: [
    { id: "tires", title: "Tires", kinds: ["tire"], supplierIds: [] },
    { id: "dealer", title: "Dealer", kinds: ["dealer"], supplierIds: [] },
    { id: "standard", title: "Standard", kinds: [], supplierIds: [] },
  ],
  fees: [
    {
      id: "tire",
      title: "Tire disposal",
      priceCents: 400,
      on: { what: "part", kinds: ["tire"], each: true },
      isUntaxed: false,
    },
    {
      id: "battery",
      title: "Battery fee",
      priceCents: 300,
      on: { what: "part", kinds: ["battery"], each: true },
      isUntaxed: false,
    },
  ],
  offers: [
    {
      id: "ferry",
      title: "Paper at the ferry",
      on: "labor",
      off: { percent: 10 },
      code: null,
      foundUsBy: "Paper at the ferry",
      until: null,
    },
    {
      id: "low-tide",
      title: "Low tide",
      on: "all",
      off: { amountCents: 2000 },
      code: "LOWTIDE",
      foundUsBy: null,
      until: null,
    },
  ],
  taxPlaces: [
    {
      id: "gull-point",
      title: "Gull Point",
      postcodes: [],
      towns: ["Gull Point"],
      taxes: [
        { id: "state", percent: 6.5, on: ["part", "fee", "labor", "sublet"], from: null },
        { id: "county", percent: 1.9, on: ["part", "fee", "labor", "sublet"], from: null },
      ],
    },
  ],
  targetMarginPercent: 45,
  quoteDays: 30,
  pricing: {
    markup: {
      standard: {
        bands: [
          { upTo: 500, times: 3 },
          { upTo: 2000, times: 2.3 },
          { upTo: 6000, times: 1.9 },
          { upTo: null, times: 1.55 },
        ],
        neverCheaper: true,
        ending: null,
      },
      dealer: {
        bands: [
          { upTo: 10000, times: 1.5 },
          { upTo: null, times: 1.35 },
        ],
        neverCheaper: true,
        ending: null,
      },
      tires: { bands: [{ upTo: null, times: 1.28 }], neverCheaper: false, ending: 95 },
    },
    taxes: [
      { id: "state", percent: 6.5, on: ["part", "fee", "labor", "sublet"] },
      { id: "county", percent: 2.4, on: ["part", "fee", "labor", "sublet"] },
    ],
    supplies: { percentOfLabor: 4, cap: 2200 },
  },
};
