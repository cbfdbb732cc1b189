import type { FoundSeen } from "@mechanon/core";
import type { AskPage, CustomerPage, PageOrder, PageVisit, RequestMatches, VisitRequest } from "@mechanon/contract";
import { customerSample, vehicleSample } from "./samples";

export const TIME = {
  mechanicId: "01900000-0000-7000-8000-000000000001",
  startsAt: "2026-12-05T18:30:00.000Z",
  endsAt: "2026-12-05T19:30:00.000Z",
};

export function requestSample(over: Partial<VisitRequest> = {}): VisitRequest {
  return {
    id: "request-1",
    asked: {
      language: "en",
      name: "Perpetua Sand",
      phone: "(360) 555-0177",
      email: "",
      place: {
        street: "3 Ebb Court",
        town: "Larkhaven",
        region: "WA",
        postcode: "98099",
        latitude: null,
        longitude: null,
      },
      car: { plate: "LRK1204", region: "WA", vin: "", year: 2014, make: "Fennick", model: "Rover" },
      wishIds: ["oil"],
      words: "It hums",
      isThere: false,
      keyLies: "Under the blue pot",
      time: TIME,
      terms: "Late costs $35.00.",
      mayText: true,
      mayMail: false,
    },
    photoIds: [],
    wishes: ["Oil change is due"],
    status: "waiting",
    at: "2026-12-04T08:00:00.000Z",
    takenBy: null,
    takenAt: null,
    offered: [],
    words: "",
    workOrderId: null,
    mechanicName: "Odile Farrow",
    isTimeFree: true,
    minutes: 60,
    ...over,
  };
}

export function matchesSample(over: Partial<RequestMatches> = {}): RequestMatches {
  const customer = customerSample();
  const vehicle = vehicleSample();
  return {
    customers: [{ customer, likenesses: ["phone"], cars: [vehicle] }],
    car: { vehicle, ownerId: customer.id, ownerName: customer.name },
    ...over,
  };
}

export const ASK_PAGE: AskPage = {
  businessName: "Larkhaven Driveway Garage",
  businessPhone: "+13605550100",
  timeZone: "America/Los_Angeles",
  isOpen: true,
  wishes: [
    { id: "oil", en: "Oil and filter", es: "Aceite y filtro" },
    { id: "lamp", en: "A warning lamp is on", es: "Luz de advertencia encendida" },
  ],
  regions: ["WA", "OR"],
  callOutCents: 4500,
  diagnosisCents: 9500,
  callOffFeeCents: 3500,
  callOffHours: 24,
  terms: { en: "A visit called off late costs $35.00.", es: "Una visita cancelada tarde cuesta $35.00." },
};

export function pageVisitSample(over: Partial<PageVisit> = {}): PageVisit {
  return {
    id: "visit-1",
    standing: "booked",
    startsAt: TIME.startsAt,
    endsAt: TIME.endsAt,
    mechanic: "Odile",
    street: "3 Ebb Court, Larkhaven",
    arrivesAt: null,
    changeUntil: "2026-12-04T18:30:00.000Z",
    wantsEarlier: false,
    ...over,
  };
}

export function pageOrderSample(over: Partial<PageOrder> = {}): PageOrder {
  return {
    id: "order-1",
    number: 1042,
    car: "2014 Fennick Rover",
    openedAt: "2026-12-04T08:00:00.000Z",
    concerns: [{ en: "It hums", es: "Zumba" }],
    visits: [pageVisitSample()],
    found: [],
    fine: [],
    jobs: [],
    totalCents: null,
    validUntil: null,
    dueCents: 0,
    paidCents: 0,
    receipt: null,
    words: [],
    photoIds: [],
    asked: null,
    agreedBefore: null,
    takingBack: [],
    canPickTime: false,
    ...over,
  };
}

export function customerPageSample(over: Partial<CustomerPage> = {}): CustomerPage {
  return {
    hasLogo: false,
    businessName: "Larkhaven Driveway Garage",
    businessPhone: "+13605550100",
    timeZone: "America/Los_Angeles",
    askSlug: "larkhaven",
    language: "en",
    name: "Perpetua",
    isProven: false,
    ways: [{ channel: "text", hint: "…77" }],
    callOffFeeCents: 3500,
    callOffHours: 24,
    requests: [],
    orders: [pageOrderSample()],
    ...over,
  };
}

/** Pads that need work, measured twice. */
export function foundSample(over: Partial<FoundSeen> = {}): FoundSeen {
  return {
    pointId: "pads",
    title: { en: "Front pads", es: "Pastillas delanteras" },
    grade: "act",
    note: "",
    topic: "brakes",
    pictures: [],
    measures: [
      {
        ...{
          kind: "pad",
          key: "pad",
          name: "Pad",
          unit: "mm",
          value: 4,
          limit: 3,
          milesLeft: 3000,
          dueOn: "2027-03-01",
        },
        readings: [
          { odometer: 40_000, date: "2026-01-10", value: 8 },
          { odometer: 52_000, date: "2026-11-10", value: 4 },
        ],
      },
    ],
    ...over,
  };
}
