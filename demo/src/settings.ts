import type { BusinessSettings } from "@mechanon/core";
import { CONCERNS, CONCERN_GAPS } from "./concerns";
import { INSPECTION } from "./inspection";
import { NEWCOMERS } from "./newcomers";
import { STREETS } from "./places";
import { MONEY_RULES } from "./quoting";
import { INTERVALS } from "./servicing";

export const BUSINESS = { name: "Larkhaven Driveway Garage", timeZone: "America/Los_Angeles" };

/** What the demo business has set: the lists of each area, put together. */
export const SETTINGS: BusinessSettings = {
  versions: { concerns: 1, intervals: 1, newcomers: 1, labor: 1, pay: 1, crew: 1 },
  crew: [],
  receiptLinkMonths: 18,
  phone: "+13605550100",
  home: { street: "4 Ropewalk, Larkhaven, WA 98099", latitude: 48.0378, longitude: -122.6049 },
  streets: STREETS,
  newcomers: NEWCOMERS,
  visitMinutes: [30, 60, 90, 120, 180],
  regions: ["WA", "OR", "ID", "CA", "AK", "MT", "NV", "UT", "BC"],
  rules: MONEY_RULES,
  inspection: INSPECTION,
  concernGaps: CONCERN_GAPS,
  intervals: INTERVALS,
  concerns: CONCERNS,
};
