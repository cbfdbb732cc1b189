import {
  USUAL_MESSAGES,
  USUAL_PAPERS,
  USUAL_REQUESTS,
  USUAL_VISITS,
  NOTHING_SEEN,
  inspectionPoint,
  libraryJob,
  nothingArranged,
  readGuide,
  type LaborGuide,
  type TableRow,
  noDetails,
  type BusinessSettings,
  type Job,
  type LibraryJob,
  type Picture,
  type VisitState,
  type WorkOrderState,
} from "@mechanon/core";
import type {
  Customer,
  CustomerSheetView,
  FoundCustomer,
  Message,
  ReceiptView,
  Vehicle,
  VehicleSheetView,
  WorkOrderView,
} from "@mechanon/contract";

const POINTS_SAMPLE = [
  {
    ...{ id: "pads", title: "Front brake pads", titleEs: "Pastillas delanteras", area: "Brakes", topic: "brakes" },
    position: "leftFront",
    measures: [
      {
        ...{ key: "value", name: "Pad", kind: "pad", unit: "mm", step: 0.5, start: 7, most: 14 },
        ...{ watchBelow: 5, actBelow: 3 },
      },
    ],
    notes: ["Worn to the metal", "Slides stuck"],
  },
  { id: "oil", title: "Engine oil", area: "Fluids", measures: [] },
].map((point) => inspectionPoint.parse(point));

/** Small made-up settings for tests of the app. */
export const SETTINGS_SAMPLE: BusinessSettings = {
  versions: { concerns: 1, intervals: 1, newcomers: 1, labor: 1, pay: 1, crew: 1, visits: 1, messages: 1, requests: 1, inspection: 1, pricing: 1, stock: 1, papers: 1 }, // prettier-ignore
  crew: [],
  stock: [],
  papers: USUAL_PAPERS,
  visits: USUAL_VISITS,
  messages: USUAL_MESSAGES,
  requests: USUAL_REQUESTS,
  receiptLinkMonths: 18,
  phone: "+13605550100",
  home: { street: "4 Ropewalk", latitude: 48.03, longitude: -122.6 },
  streets: [
    {
      name: "Heron Landing",
      town: "Larkhaven",
      region: "WA",
      postcode: "98099",
      latitude: 48.0412,
      longitude: -122.6188,
    },
    { name: "Harbor Steps", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.03, longitude: -122.61 },
  ],
  newcomers: {
    foundUsBy: ["A friend", "Web search"],
    questions: [
      { id: "last-work", text: "What was last done?", choices: [] },
      { id: "parking", text: "Where is it parked?", choices: ["Driveway", "Street"] },
    ],
  },
  visitMinutes: [60, 90],
  regions: ["WA"],
  rules: {
    laborRateCents: 10000,
    wageCents: 3000,
    pricing: {
      markup: { standard: { bands: [{ upTo: null, times: 2 }] } },
      taxes: [{ id: "state", percent: 10, on: ["part"] }],
      supplies: null,
    },
  },
  inspection: POINTS_SAMPLE,
  sheets: [
    {
      ...{ id: "quick", title: "Quick look", pointIds: ["pads", "oil"] },
      comes: { always: true, firstVisit: false, libraryJobIds: [], everyMiles: null },
    },
  ],
  concerns: [
    {
      ...{ id: "grind", text: "Brakes grind", kind: "fault", area: "Brakes" },
      causes: ["Pads worn to the metal"],
      corrections: ["Replace pads and rotors"],
    },
  ],
  concernGaps: [{ name: "when", choices: ["when cold", "when hot"] }],
  intervals: [{ id: "oil", title: "Oil and filter", miles: 5000, months: 6, jobIds: ["wipers"] }],
};

/** A guide that knows wipers and front struts. */
export const GUIDE_SAMPLE: LaborGuide = readGuide(
  { source: "Made up", simulated: true },
  [
    guideStep("fitBlades", "once", 0.2),
    guideStep("wheelOff", "position", 0.2),
    guideStep("strut", "position", 0.9),
    guideStep("tieRod", "position", 0.5),
  ],
  [
    guideRow("wiperBlades", "job", "fitBlades"),
    guideRow("frontStrut", "corner", "wheelOff strut"),
    guideRow("tieRodEnd", "corner", "wheelOff tieRod"),
  ],
);

function guideStep(id: string, per: string, hours: number): TableRow {
  const classes = ["small car", "car", "large car", "van", "pickup", "heavy"];
  return { id, title: id, per, ...Object.fromEntries(classes.map((name) => [name, String(hours)])) };
}

function guideRow(id: string, per: string, steps: string): TableRow {
  return { id, title: id, area: "Area", part: id, per, steps };
}

export const LIBRARY_SAMPLE: LibraryJob[] = [
  {
    id: "wipers",
    title: "Wiper blades",
    area: "Outside",
    curesPoints: ["oil"],
    answersConcerns: ["grind"],
    lines: [
      {
        id: "w1",
        kind: "labor",
        description: "Fit blades",
        hours: 0.1,
        rateCents: 10000,
        wageCents: 3000,
        paidHours: null,
      },
      {
        id: "w2",
        kind: "part",
        description: "Wiper blade",
        quantity: 2,
        costCents: 800,
        markup: "standard",
        priceCents: null,
        partNumber: "SD-22",
        brand: "Spindrift",
      },
    ],
  },
].map((job) => libraryJob.parse(job));

/** A work order nothing has happened to yet. */
export function stateSample(over: Partial<WorkOrderState> = {}): WorkOrderState {
  return {
    version: 3,
    id: "order-1",
    customerId: "customer-1",
    vehicleId: "car-1",
    openedAt: "2026-11-23T16:00:00.000Z",
    openedBy: "me",
    rules: SETTINGS_SAMPLE.rules,
    taxExempt: false,
    concerns: [],
    ...NOTHING_SEEN,
    jobs: [],
    approvals: [],
    orders: [],
    received: [],
    payments: [],
    conflicts: [],
    ...over,
  };
}

export function viewSample(over: Partial<WorkOrderView> = {}): WorkOrderView {
  return {
    number: 1001,
    revision: 1,
    state: stateSample(),
    customer: customerSample(),
    vehicle: vehicleSample(),
    visits: [],
    messages: [],
    askedBefore: null,
    customerPhotoIds: [],
    requests: [],
    odometerBefore: [],
    carBefore: null,
    pageOpenedAt: null,
    receiptLinks: [],
    ...over,
  };
}

export function vehicleSample(over: Partial<Vehicle> = {}): Vehicle {
  return {
    id: "car-1",
    customerId: "customer-1",
    vin: null,
    vinNote: null,
    plate: "LRK1204",
    region: "WA",
    year: 2019,
    make: "Honda",
    model: "Accord",
    trim: null,
    engine: null,
    drive: null,
    transmission: null,
    color: null,
    unitNumber: null,
    nickname: null,
    photoId: null,
    version: 1,
    ...over,
  };
}

export function customerSample(over: Partial<Customer> = {}): Customer {
  return {
    id: "customer-1",
    kind: "person",
    name: "Maren Oyelaran",
    ...noDetails(),
    phones: [{ number: "+13605550111", extension: null, label: "Mobile" }],
    version: 1,
    createdAt: "2026-01-05T16:00:00.000Z",
    erasedAt: null,
    ...over,
  };
}

/** A customer with one car and nothing else. */
export function sheetSample(over: Partial<CustomerSheetView> = {}): CustomerSheetView {
  return {
    customer: customerSample(),
    vehicles: [vehicleSample()],
    drives: [],
    openWork: [],
    comingVisits: [],
    lastVisits: [],
    owedCents: 0,
    later: [],
    messages: [],
    pastWork: [],
    pastWorkCount: 0,
    merges: [],
    ...over,
  };
}

export function foundSample(over: Partial<FoundCustomer> = {}): FoundCustomer {
  return {
    customer: customerSample(),
    vehicles: [vehicleSample()],
    vehicleCount: 1,
    openWork: [],
    foundBy: [],
    isNear: false,
    ...over,
  };
}

/** A car nothing has happened to yet. */
export function carSheetSample(over: Partial<VehicleSheetView> = {}): VehicleSheetView {
  return {
    vehicle: vehicleSample(),
    owner: { id: "customer-1", name: "Maren Oyelaran" },
    people: [],
    moves: [],
    openWork: [],
    later: [],
    lastService: { oil: null, oilFilter: null, parts: [], pressures: null },
    odometer: { readings: [], doubtful: [], milesPerYear: null, predictedMiles: null },
    specs: null,
    corrections: [],
    due: [],
    unsafe: [],
    pictures: [],
    pastWork: [],
    pastWorkCount: 0,
    ...over,
  };
}

const AT = "2026-11-23T17:00:00.000Z";

/** The library's job on a quote, not answered. */
export function jobSample(over: Partial<Job> = {}): Job {
  return {
    id: "j",
    title: "Wiper blades",
    libraryJobId: "wipers",
    concernId: null,
    pointIds: [],
    lines: LIBRARY_SAMPLE[0]?.lines ?? [],
    addedAt: AT,
    answer: null,
    finishedAt: null,
    ...over,
  };
}

/** A booked visit. */
export function visitSample(over: Partial<VisitState> = {}): VisitState {
  return {
    version: 4,
    overlapAllowed: false,
    isLocked: false,
    arranged: nothingArranged(),
    readyBy: null,
    anotherTripWhy: "",
    series: null,
    calledOff: null,
    wantsEarlier: false,
    driveMinutes: null,
    id: "v",
    workOrderIds: ["order-1"],
    mechanicId: "me",
    place: {
      street: "18 Heron Landing",
      town: "Larkhaven",
      region: "WA",
      postcode: "98099",
      latitude: null,
      longitude: null,
    },
    startsAt: AT,
    endsAt: "2026-11-23T18:00:00.000Z",
    note: "Gate code 4410",
    bookedAt: AT,
    setOffAt: null,
    arrivedAt: null,
    leftAt: null,
    cancelledAt: null,
    ...over,
  };
}

/** Two wiper blades, paid by card. */
export function receiptSample(over: Partial<ReceiptView> = {}): ReceiptView {
  return {
    number: 1001,
    business: {
      name: "Larkhaven Driveway Garage",
      phone: "+13605550100",
      street: "4 Ropewalk",
      timeZone: "America/Los_Angeles",
    },
    customerName: "Maren Oyelaran",
    vehicleName: "2019 Honda Accord",
    plate: "LRK1204",
    language: "en",
    odometerMiles: 88120,
    unsafe: [],
    concerns: [],
    jobs: [
      {
        title: "Wiper blades",
        totalCents: 4200,
        lines: [{ description: "Wiper blade", quantity: "2", netCents: 3200 }],
      },
    ],
    suppliesCents: 0,
    taxes: [{ id: "state", cents: 320 }],
    totalCents: 4520,
    paidCents: 4520,
    dueCents: 0,
    payments: [
      {
        method: "card",
        at: AT,
        amountCents: 4520,
        tenderedCents: null,
        card: { lastFour: "4407", authorization: "A1" },
      },
    ],
    notDone: [{ title: "Front brake pads", answer: "no" }],
    signature: { name: "Maren Oyelaran", strokes: [[0, 0, 500, 500]], at: AT },
    ...over,
  };
}

export function messageSample(over: Partial<Message> = {}): Message {
  return {
    id: "m1",
    kind: "onMyWay",
    channel: "text",
    isIncoming: false,
    recipient: "+13605550111",
    subject: null,
    text: "On my way",
    status: "sent",
    at: "2026-11-23T18:00:00.000Z",
    lastError: null,
    answeredAt: null,
    ...over,
  };
}

/** A photo of a point, taken here. */
export function pictureSample(over: Partial<Picture> = {}): Picture {
  return {
    ...{ photoId: "photo-1", media: "photo", of: "point", id: "pads", moment: null, drawnOn: null, at: AT, by: "me" },
    ...over,
  };
}
