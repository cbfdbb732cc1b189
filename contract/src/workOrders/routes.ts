import { z } from "zod";
import { message } from "../messages/message";
import {
  LANGUAGES,
  PAPERS,
  sealedCopy,
  REFUSAL_CODES,
  WAITS,
  clientWorkOrderCommand,
  upgradeCommand,
  visitState,
  workOrderState,
} from "@mechanon/core";
import { idField, idParams, instantField } from "../fields";
import { customer } from "../customers/customer";
import { route } from "../route";
import { odometerReading } from "../vehicles/sheet";
import { vehicle } from "../vehicles/vehicle";
import { workOrderSummary } from "./summary";

/** A command that cannot be read: it is refused alone, and those sent with it are run. */
export const unreadableCommand = z.unknown().transform(() => ({ type: "unreadable" as const }));

/** A command on its way: made by a device, with an id of its own so that a retry changes nothing. */
export const workOrderEnvelope = z.strictObject({
  id: idField,
  at: z.iso.datetime(),
  /** One that a device of yesterday's version queued is read as today's. */
  command: z.union([z.preprocess(upgradeCommand, clientWorkOrderCommand), unreadableCommand]),
});
/** What became of one command. */
export const commandOutcome = z
  .object({
    id: z.string(),
    outcome: z.enum(["applied", "refused"]),
    refusal: z.enum(REFUSAL_CODES).nullable(),
    conflicts: z.array(z.string()),
  })
  .meta({ id: "CommandOutcome" });
export type CommandOutcome = z.infer<typeof commandOutcome>;

/** What is out with a supplier or the card terminal and not known to be done, or never reached them. */
export const openRequest = z.object({
  id: z.string(),
  kind: z.enum(["partsOrder", "cardCharge"]),
  /** `asked`: not known yet; `lapsed`: the other side never had it, so nothing was done. */
  status: z.enum(["asked", "lapsed"]),
  at: z.string(),
  amountCents: z.number().int().nullable(),
  lineIds: z.array(z.string()),
});
export type OpenRequest = z.infer<typeof openRequest>;

/** What is known of a car from its other work orders. */
export const knownOfCar = z.object({
  /** Visits of before. */
  visits: z.number().int(),
  sheets: z.array(z.object({ sheetId: z.string(), at: z.string(), miles: z.number().nullable() })),
  /** Oldest first. */
  measures: z.array(
    z.object({
      pointId: z.string(),
      key: z.string(),
      odometer: z.number(),
      date: z.string(),
      value: z.number(),
    }),
  ),
  /** Of points, the newest first. */
  pictures: z.array(
    z.object({ photoId: z.string(), media: z.enum(["photo", "clip"]), pointId: z.string(), at: z.string() }),
  ),
  /** Not safe and not mended. */
  unsafe: z.array(
    z.object({
      workOrderId: z.string(),
      number: z.number().int(),
      pointId: z.string(),
      title: z.string(),
      at: z.string(),
      isTold: z.boolean(),
    }),
  ),
  /** It lies apart. */
  apart: z.array(
    z.object({
      workOrderId: z.string(),
      number: z.number().int(),
      isOff: z.string(),
      partsLie: z.string(),
      isDrivable: z.boolean(),
      toldTo: z.string(),
      at: z.string(),
    }),
  ),
});
export type KnownOfCar = z.infer<typeof knownOfCar>;

/** A frozen copy as it is read: the salts that guard it stay where it is kept. */
const agreedCopy = sealedCopy.omit({ salts: true });
export type AgreedCopy = z.infer<typeof agreedCopy>;

/** A work order with all that its sheet shows. */
export const workOrderView = z
  .object({
    number: z.number().int(),
    revision: z.number().int(),
    state: workOrderState,
    /** null: it is not known yet whose it is. */
    customer: customer.nullable(),
    /** null: the car is not known yet, or was taken off it. */
    vehicle: vehicle.nullable(),
    visits: z.array(visitState),
    messages: z.array(message),
    /** What its customer asked for by themselves; null: it began otherwise. */
    askedBefore: z.object({ id: z.string(), words: z.string(), at: z.string() }).nullable().default(null),
    /** Photos its customer sent, the oldest first. */
    customerPhotoIds: z.array(z.string()).default([]),
    requests: z.array(openRequest),
    /** What the car's odometer showed on other work orders, oldest first. */
    odometerBefore: z.array(odometerReading).default([]),
    /** null: the car is not known yet, or was taken down on this device. */
    carBefore: knownOfCar.nullable().default(null),
    /** When its customer opened their page last; null: not yet. */
    pageOpenedAt: z.string().nullable().default(null),
    /** Links to its receipt that were sent and can be opened still. */
    receiptLinks: z.array(z.object({ sentTo: z.string(), at: z.string(), endsAt: z.string() })).default([]),
  })
  .meta({ id: "WorkOrderView" });
export type WorkOrderView = z.infer<typeof workOrderView>;

/** What commands changed of a work order: for a device that has it at `fromRevision`; any other loads it anew. */
export const workOrderChange = z
  .object({
    id: z.string(),
    number: z.number().int(),
    /** 0: it was opened by them, and all of it is here. */
    fromRevision: z.number().int(),
    revision: z.number().int(),
    state: workOrderState.partial(),
    /** Where customer or car became another; null: both are as they were. */
    parties: z
      .object({
        customer: customer.nullable(),
        vehicle: vehicle.nullable(),
        odometerBefore: z.array(odometerReading).default([]),
        carBefore: knownOfCar.nullable().default(null),
      })
      .nullable(),
  })
  .meta({ id: "WorkOrderChange" });
export type WorkOrderChange = z.infer<typeof workOrderChange>;

/** Work orders that wait for one thing, oldest first: a page of them, and how many there are in all. */
export const openWorkGroup = z.object({
  waitsFor: z.enum(WAITS),
  count: z.number().int(),
  workOrders: z.array(workOrderSummary),
  /** Where the next page goes on; null: this is the last. */
  next: z.object({ since: z.string(), id: z.string() }).nullable(),
});
export type OpenWorkGroup = z.infer<typeof openWorkGroup>;
export const openWork = z.object({ groups: z.array(openWorkGroup) });
export type OpenWorkView = z.infer<typeof openWork>;

export const workOrderRoutes = {
  workOrderPaper: route({
    method: "get",
    path: "/api/work-orders/:id/papers/:paper",
    area: "workOrders",
    summary: "A quote or a mechanic's sheet, as a PDF",
    params: idParams.extend({ paper: z.enum(PAPERS) }),
    query: z.object({ language: z.enum(LANGUAGES).optional() }),
  }),
  getWorkOrder: route({
    method: "get",
    path: "/api/work-orders/:id",
    area: "workOrders",
    summary: "A work order",
    params: idParams,
    answer: workOrderView,
  }),
  sendWorkOrderCommands: route({
    method: "post",
    path: "/api/work-orders/:id/commands",
    area: "workOrders",
    mostBytes: 2 * 1024 * 1024,
    summary: "Commands to a work order, in order; each is applied once however often it is sent",
    params: idParams,
    body: z.strictObject({ commands: z.array(workOrderEnvelope).min(1).max(100) }),
    answer: z.object({ outcomes: z.array(commandOutcome), change: workOrderChange.nullable() }),
  }),
  agreedCopies: route({
    method: "get",
    path: "/api/work-orders/:id/agreed",
    area: "workOrders",
    summary: "The frozen copies of what was agreed on a work order, in their order",
    params: idParams,
    answer: z.object({ copies: z.array(agreedCopy) }),
  }),
  openWork: route({
    method: "get",
    path: "/api/open-work",
    area: "workOrders",
    summary: "Everything open, by what it waits for, oldest first: the first page of each, or a later one of one",
    query: z
      .object({ waitsFor: z.enum(WAITS), since: instantField, id: idField })
      .partial()
      .refine(({ since, id }) => (since === undefined) === (id === undefined), "since and id go together"),
    answer: openWork,
  }),
};
