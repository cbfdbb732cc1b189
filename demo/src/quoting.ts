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
      tires: { bands: [{ upTo: null, times: 1.28 }], neverCheaper: false, ending: 95 },
    },
    taxes: [
      { id: "state", percent: 6.5, on: ["part", "fee", "labor"] },
      { id: "county", percent: 2.4, on: ["part", "fee", "labor"] },
    ],
    supplies: { percentOfLabor: 4, cap: 2200 },
  },
};
