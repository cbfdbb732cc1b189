import type { BusinessSettings } from "@mechanon/core";

/** The made-up town by the water, with a point on each street. */
export const STREETS: BusinessSettings["streets"] = [
  { name: "Heron Landing", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0412, longitude: -122.6188 },
  { name: "Oyster Shell Lane", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0335, longitude: -122.6301 },
  { name: "Kelp Street", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0291, longitude: -122.6122 },
  { name: "Ropewalk", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0378, longitude: -122.6049 },
  { name: "Foghorn Hill", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0487, longitude: -122.6395 },
  { name: "Ebb Court", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0216, longitude: -122.6258 },
  { name: "Ferry Slip Road", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0454, longitude: -122.5987 },
  { name: "Madrona Bend", town: "Tidewater Mills", region: "WA", postcode: "98098", latitude: 48.0093, longitude: -122.5871 },
  { name: "Cannery Row East", town: "Tidewater Mills", region: "WA", postcode: "98098", latitude: 48.0038, longitude: -122.5990 },
  { name: "Lamplighter Way", town: "Tidewater Mills", region: "WA", postcode: "98098", latitude: 48.0147, longitude: -122.6034 },
]; // prettier-ignore

export const BUSINESS = { name: "Larkhaven Driveway Garage", timeZone: "America/Los_Angeles" };

/** People of the demo business. Their passwords are shown on the sign-in page, so they guard nothing. */
export const PEOPLE = [
  { key: "odile", login: "odile", password: "lantern-7", name: "Odile Farrow", role: "Owner and mechanic", isMechanic: true, rights: ["seeCost", "changePrices", "refund", "reports", "settings"] },
  { key: "tomas", login: "tomas", password: "anchor-22", name: "Tomas Quill", role: "Mechanic", isMechanic: true, rights: ["seeCost"] },
  { key: "wren", login: "wren", password: "ledger-5", name: "Wren Adeyemi", role: "Office", isMechanic: false, rights: ["changePrices"] },
] as const; // prettier-ignore

export const SETTINGS: BusinessSettings = {
  versions: { concerns: 1, intervals: 1, newcomers: 1 },
  receiptLinkMonths: 18,
  phone: "+13605550100",
  home: { street: "4 Ropewalk, Larkhaven, WA 98099", latitude: 48.0378, longitude: -122.6049 },
  streets: STREETS,
  newcomers: {
    foundUsBy: ["A friend", "The van on the street", "Web search", "Paper at the ferry", "Another garage"],
    questions: [
      { id: "recommended-by", text: "Who recommended us?", choices: [] },
      { id: "last-work", text: "What was last done to the car, and by whom?", choices: [] },
      { id: "parking", text: "Where is the car parked?", choices: ["Driveway", "Street", "Garage", "Lot at work"] },
    ],
  },
  visitMinutes: [30, 60, 90, 120, 180],
  regions: ["WA", "OR", "ID", "CA", "AK", "MT", "NV", "UT", "BC"],
  rules: {
    laborRateCents: 13800,
    wageCents: 3900,
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
  },
  inspection: [
    {
      id: "tread",
      title: "Tire tread, lowest",
      area: "Wheels",
      measure: { name: "Tread", unit: "/32 in", step: 1, start: 7, most: 14, watchBelow: 5, actBelow: 4 },
    },
    {
      id: "frontPads",
      title: "Front brake pads",
      area: "Brakes",
      measure: { name: "Pad", unit: "mm", step: 0.5, start: 7, most: 14, watchBelow: 5, actBelow: 3 },
    },
    {
      id: "rearPads",
      title: "Rear brake pads",
      area: "Brakes",
      measure: { name: "Pad", unit: "mm", step: 0.5, start: 7, most: 14, watchBelow: 5, actBelow: 3 },
    },
    {
      id: "battery",
      title: "Battery at rest",
      area: "Electrics",
      measure: { name: "Voltage", unit: "V", step: 0.1, start: 12.6, most: 14, watchBelow: 12.4, actBelow: 12 },
    },
    { id: "oil", title: "Engine oil", area: "Fluids", measure: null },
    { id: "coolant", title: "Coolant", area: "Fluids", measure: null },
    { id: "steering", title: "Steering and suspension", area: "Underneath", measure: null },
    { id: "wipers", title: "Wipers and lights", area: "Outside", measure: null },
  ],
  concernGaps: [
    { name: "when", choices: ["when cold", "when hot", "above 40", "when turning", "when braking", "in the rain"] },
    { name: "where", choices: ["front left", "front right", "rear left", "rear right", "under the hood"] },
    { name: "smell", choices: ["gasoline", "burning", "something sweet", "bad eggs"] },
    { name: "how often", choices: ["always", "now and then", "since yesterday", "for weeks"] },
  ],
  intervals: [
    { id: "oil", title: "Oil and filter", miles: 5000, months: 6, jobIds: ["oil-service"] },
    { id: "coolant", title: "Coolant", miles: null, months: null, jobIds: ["coolant-service"] },
    { id: "wipers", title: "Wiper blades", miles: null, months: 12, jobIds: ["wipers"] },
    { id: "check-over", title: "Check-over", miles: 12000, months: 12, jobIds: ["check-over"] },
  ],
  concerns: [
    { id: "brakes-grind", text: "Brakes grind {when}", kind: "fault", area: "Brakes" },
    { id: "brakes-squeal", text: "Brakes squeal when cold", kind: "fault", area: "Brakes" },
    { id: "no-start", text: "Will not start, only clicks", kind: "fault", area: "Starting" },
    { id: "slow-crank", text: "Cranks slowly in the morning", kind: "fault", area: "Starting" },
    { id: "warning-light", text: "Engine warning light is on", kind: "fault", area: "Engine" },
    { id: "oil-light", text: "Oil light flickers {when}", kind: "fault", area: "Engine" },
    { id: "runs-hot", text: "Temperature needle climbs", kind: "fault", area: "Engine" },
    { id: "hum-speed", text: "Hums louder with speed, {where} {how often}", kind: "fault", area: "Wheels" },
    { id: "clunk-bumps", text: "Clunks over bumps, {where}", kind: "fault", area: "Underneath" },
    { id: "pulls", text: "Pulls to one side {when}", kind: "fault", area: "Brakes" },
    { id: "pedal-soft", text: "Brake pedal is soft", kind: "fault", area: "Brakes" },
    { id: "vibrates", text: "Vibrates {when}, {where}", kind: "fault", area: "Wheels" },
    { id: "leaks", text: "Leaks fluid, {where} {how often}", kind: "fault", area: "Engine" },
    { id: "smells", text: "Smells of {smell}", kind: "fault", area: "Engine" },
    { id: "stalls", text: "Stalls {when} {how often}", kind: "fault", area: "Engine" },
    { id: "shifts-hard", text: "Shifts hard {when}", kind: "fault", area: "Transmission" },
    { id: "ac-warm", text: "Air conditioning blows warm", kind: "fault", area: "Comfort" },
    { id: "window-stuck", text: "Window does not move, {where}", kind: "fault", area: "Comfort" },
    { id: "light-out", text: "A light is out, {where}", kind: "fault", area: "Outside" },
    { id: "battery-dies", text: "Battery is flat {how often}", kind: "fault", area: "Starting" },
    { id: "buying", text: "Look at it before they buy it", kind: "wish", area: "Service" },
    { id: "trip", text: "Ready for a long trip", kind: "wish", area: "Service" },
    { id: "oil-due", text: "Oil change is due", kind: "wish", area: "Service" },
    { id: "wipers-new", text: "New wipers", kind: "wish", area: "Outside" },
    { id: "tires-new", text: "New tires", kind: "wish", area: "Wheels" },
    { id: "check-over", text: "Check the car over", kind: "wish", area: "Service" },
  ],
};
