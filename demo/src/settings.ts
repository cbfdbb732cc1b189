import type { BusinessSettings } from "@mechanon/core";
import { CONCERNS, CONCERN_GAPS } from "./concerns";
import { INSPECTION, SHEETS } from "./inspection";
import { NEWCOMERS } from "./newcomers";
import { STREETS } from "./places";
import { REQUESTS } from "./requests";
import { MONEY_RULES } from "./quoting";
import { PAPERS } from "./papers";
import { STOCK } from "./stock";
import { INTERVALS } from "./servicing";

/** Where it is told the time; tests move it west, where midnight would come in the middle of them. */
export const BUSINESS = {
  name: "Larkhaven Driveway Garage",
  timeZone: process.env.DEMO_TIME_ZONE ?? "America/Los_Angeles",
};

/** What the demo business has set: the lists of each area, put together; messages are as usual. */
export const SETTINGS: Omit<BusinessSettings, "messages"> = {
  versions: { concerns: 1, intervals: 1, newcomers: 1, labor: 1, pay: 1, crew: 1, visits: 1, messages: 1, requests: 1, inspection: 1, pricing: 1, stock: 1, papers: 1 }, // prettier-ignore
  crew: [],
  stock: STOCK,
  papers: PAPERS,
  visits: {
    setUpMinutes: 15,
    callRules: [
      { question: "starts", on: false, minutes: 15, skill: null, isUrgent: true },
      { question: "drives", on: false, minutes: 0, skill: null, isUrgent: true },
      { question: "lampOn", on: true, minutes: 15, skill: null, isUrgent: false },
      { question: "wheelLockKey", on: false, minutes: 30, skill: null, isUrgent: false },
    ],
    callOutCents: 4500,
    callOutOn: "shared",
    callOffFeeCents: 3500,
    callOffHours: 24,
    callOffTerms: "A visit called off less than a day before, or with nobody there, costs $35.00.",
    wetPercent: 50,
    answerByMinute: 17 * 60,
  },
  requests: REQUESTS,
  receiptLinkMonths: 18,
  phone: "+13605550100",
  home: { street: "4 Ropewalk, Larkhaven, WA 98099", latitude: 48.0378, longitude: -122.6049 },
  streets: STREETS,
  newcomers: NEWCOMERS,
  visitMinutes: [30, 60, 90, 120, 180],
  regions: ["WA", "OR", "ID", "CA", "AK", "MT", "NV", "UT", "BC"],
  rules: MONEY_RULES,
  inspection: INSPECTION,
  sheets: SHEETS,
  concernGaps: CONCERN_GAPS,
  intervals: INTERVALS,
  concerns: CONCERNS,
};
