import type { Actor } from "../access/rights";
import type { WorkOrderContext } from "../workOrders/context";
import { libraryJob, type LibraryJob } from "../quoting/libraryJob";
import { jobTotals } from "../quoting/totals";
import { inspectionPoint } from "../inspection/point";
import { inspectionSheet } from "../inspection/sheet";
import type { BusinessSettings } from "../settings/businessSettings";
import { nothingArranged } from "../visits/arranged";
import { VISIT_VERSION, type VisitState } from "../visits/state";
import { USUAL_PAPERS } from "../papers/paperSettings";
import { USUAL_MESSAGES } from "../messages/messageSettings";
import { USUAL_REQUESTS } from "../requests/requestSettings";
import { USUAL_VISITS } from "../visits/visitSettings";
import { applyCommand } from "../workOrders/applyCommand";
import type { WorkOrderCommand } from "../workOrders/commands";
import type { WorkOrderState } from "../workOrders/state";

export const FULL_ACTOR: Actor = { id: "odile", name: "Odile Farrow", rights: ["seeCost", "changePrices"] };
export const POINTS: BusinessSettings["inspection"] = [
  {
    id: "pads",
    title: "Pads",
    area: "Brakes",
    position: "leftFront" as const,
    measures: [
      {
        ...{ key: "value", name: "Pad", kind: "pad" as const, unit: "mm", step: 0.5, start: 7, most: 14 },
        ...{ watchBelow: 5, actBelow: 3 },
      },
    ],
  },
  { id: "oil", title: "Oil", area: "Fluids", measures: [] },
].map((point) => inspectionPoint.parse(point));
export const LIBRARY: LibraryJob[] = [
  {
    id: "brakes",
    title: "Brakes",
    area: "Brakes",
    curesPoints: ["pads"],
    answersConcerns: ["grind"],
    lines: [
      { id: "1", kind: "labor", description: "Pads", hours: 1, rateCents: 10000, wageCents: 3000, paidHours: null },
      {
        id: "2",
        kind: "part",
        description: "Pad set",
        quantity: 1,
        costCents: 3000,
        markup: "standard",
        priceCents: null,
        partNumber: "P",
        brand: "Halyard",
      },
    ],
  },
].map((job) => libraryJob.parse(job));
export const SETTINGS: BusinessSettings = {
  versions: {
    concerns: 3,
    intervals: 1,
    newcomers: 1,
    labor: 1,
    pay: 1,
    crew: 1,
    visits: 1,
    messages: 1,
    requests: 1,
    inspection: 1,
    pricing: 1,
    stock: 1,
    papers: 1,
  },
  crew: [],
  stock: [],
  papers: USUAL_PAPERS,
  visits: USUAL_VISITS,
  messages: USUAL_MESSAGES,
  requests: USUAL_REQUESTS,
  receiptLinkMonths: 18,
  phone: "",
  home: { street: "", latitude: 0, longitude: 0 },
  streets: [],
  newcomers: { foundUsBy: [], questions: [] },
  visitMinutes: [60],
  regions: ["WA"],
  inspection: POINTS,
  sheets: [
    inspectionSheet.parse({ id: "quick", title: "Quick look", pointIds: ["pads", "oil"], comes: { always: true } }),
  ],
  concerns: [],
  concernGaps: [],
  intervals: [],
  rules: {
    laborRateCents: 10000,
    wageCents: 3000,
    pricing: {
      markup: { standard: { bands: [{ upTo: null, times: 2 }] } },
      taxes: [{ id: "state", percent: 8, on: ["part"] }],
      supplies: { percentOfLabor: 5, cap: null },
    },
  },
};

let count = 0;

/** Applies a command the way the server does, a minute after the last. */
export function run(
  state: WorkOrderState | null,
  command: WorkOrderCommand,
  over: Partial<WorkOrderContext> = {},
): WorkOrderState {
  count += 1;
  const at = new Date(Date.parse("2026-11-23T15:00:00.000Z") + count * 60_000).toISOString();
  return applyCommand(state, command, {
    aggregateId: "order",
    commandId: `command-${count}-00`,
    at,
    actor: FULL_ACTOR,
    settings: SETTINGS,
    library: LIBRARY,
    taxExempt: false,
    ...over,
  });
}

/** A fresh work order with one concern. */
export function start(): WorkOrderState {
  return run(null, {
    type: "openWorkOrder",
    customerId: "customer",
    vehicleId: "car",
    concerns: [{ id: "c1", text: "Brakes grind", kind: "fault", phraseId: "grind" }],
  });
}

/** The customer says yes to all, at today's prices. */
export function yes(state: WorkOrderState): WorkOrderState {
  const totals = jobTotals(state);
  const answers = state.jobs.map(({ id, title }) => ({
    jobId: id,
    title,
    answer: "yes" as const,
    totalCents: totals.get(id) ?? 0,
  }));
  return run(state, {
    type: "recordAnswers",
    approvalId: "approval",
    way: "signed",
    name: "Maren Oyelaran",
    signature: [[1, 2, 3, 4]],
    answers,
    totalCents: 1,
  });
}

export function bookedVisit(startsAt: string): VisitState {
  const place = {
    street: "18 Heron Landing",
    town: "Larkhaven",
    region: "WA",
    postcode: "98099",
    latitude: null,
    longitude: null,
  };
  return {
    version: VISIT_VERSION,
    overlapAllowed: false,
    id: "visit",
    workOrderIds: ["order"],
    mechanicId: "odile",
    place,
    startsAt,
    endsAt: new Date(Date.parse(startsAt) + 3_600_000).toISOString(),
    note: "",
    isLocked: false,
    arranged: nothingArranged(),
    readyBy: null,
    anotherTripWhy: "",
    series: null,
    calledOff: null,
    wantsEarlier: false,
    driveMinutes: null,
    bookedAt: startsAt,
    setOffAt: null,
    arrivedAt: null,
    leftAt: null,
    cancelledAt: null,
  };
}
