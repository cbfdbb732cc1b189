import { z } from "zod";
import { serviceInterval, specCorrection, specSheet } from "@mechanon/core";
import { workOrderSummary } from "../workOrders/summary";
import { vehicle } from "./vehicle";

/** Somebody who has to do with a car without owning it. */
export const vehiclePerson = z.object({ customerId: z.string(), name: z.string(), role: z.string() });
export type VehiclePerson = z.infer<typeof vehiclePerson>;

/** A car we know already, whose it is, and what is open on it. */
export const knownVehicle = z.object({
  vehicle,
  customerName: z.string(),
  people: z.array(vehiclePerson),
  openWork: z.array(workOrderSummary),
});
export type KnownVehicle = z.infer<typeof knownVehicle>;

/** Work put off, with the price it had and the one it has today; null where it cannot be priced any more. */
export const putOffJob = z.object({
  workOrderId: z.string(),
  number: z.number().int(),
  jobId: z.string(),
  libraryJobId: z.string().nullable(),
  title: z.string(),
  at: z.string(),
  thenCents: z.number().int(),
  nowCents: z.number().int().nullable(),
  /** When to ask again; null: nobody said. */
  askOn: z.string().nullable().default(null),
  /** Why, as they said; empty: nobody did. */
  reason: z.string().default(""),
  /** Of what was found that it cures. */
  photoIds: z.array(z.string()).default([]),
});
export type PutOffJob = z.infer<typeof putOffJob>;

const partUsed = z.object({
  description: z.string(),
  brand: z.string().nullable(),
  partNumber: z.string().nullable(),
  quantity: z.number(),
  at: z.string(),
});

const dueService = z.object({
  interval: serviceInterval.extend({ from: z.enum(["sheet", "owner", "customer"]) }),
  last: z.object({ intervalId: z.string(), at: z.string(), miles: z.number().nullable() }).nullable(),
  dueAtMiles: z.number().nullable(),
  dueByDate: z.string().nullable(),
  dueOn: z.string().nullable(),
  by: z.enum(["miles", "months"]).nullable(),
  standing: z.enum(["overdue", "soon", "later", "unknown"]),
});

export const odometerReading = z.object({ miles: z.number().int(), at: z.string() });
/** With the work order it was written down on, where it can be taken back. */
const reading = odometerReading.extend({ workOrderId: z.string(), number: z.number().int() });

/** A car with all that hangs on it. */
export const vehicleSheet = z.object({
  vehicle,
  owner: z.object({ id: z.string(), name: z.string() }),
  people: z.array(vehiclePerson),
  moves: z.array(z.object({ at: z.string(), by: z.string(), fromName: z.string(), toName: z.string() })),
  openWork: z.array(workOrderSummary),
  later: z.array(putOffJob),
  lastService: z.object({
    oil: partUsed.nullable(),
    oilFilter: partUsed.nullable(),
    /** The newest of each name that has a number. */
    parts: z.array(partUsed).default([]),
    pressures: z.object({ frontPsi: z.number(), rearPsi: z.number(), at: z.string() }).nullable(),
  }),
  odometer: z.object({
    readings: z.array(reading),
    doubtful: z.array(reading),
    milesPerYear: z.number().nullable(),
    predictedMiles: z.number().nullable(),
  }),
  /** The specs as they were last had from the source; null when it never answered. */
  specs: specSheet.nullable(),
  corrections: z.array(specCorrection),
  due: z.array(dueService),
  /** What was found there and is not safe since; absent in what was kept before it was told. */
  unsafe: z
    .array(
      z.object({
        workOrderId: z.string(),
        number: z.number().int(),
        title: z.string(),
        at: z.string(),
        isTold: z.boolean(),
      }),
    )
    .default([]),
  /** Photos and clips of it, by what they show, the newest first. */
  pictures: z
    .array(
      z.object({
        photoId: z.string(),
        media: z.enum(["photo", "clip"]),
        title: z.string(),
        at: z.string(),
        number: z.number().int(),
      }),
    )
    .default([]),
  pastWork: z.array(workOrderSummary),
  pastWorkCount: z.number().int(),
});
export type VehicleSheetView = z.infer<typeof vehicleSheet>;

/** What the maker calls back, as its source says. */
export const recallReport = z.object({
  source: z.string(),
  simulated: z.boolean(),
  recalls: z.array(
    z.object({ campaign: z.string(), title: z.string(), remedy: z.string(), since: z.string(), open: z.boolean() }),
  ),
});
export type RecallReport = z.infer<typeof recallReport>;

/** What others did to the car, as its source says. */
export const elsewhereReport = z.object({
  source: z.string(),
  simulated: z.boolean(),
  entries: z.array(
    z.object({ at: z.string(), miles: z.number().int().nullable(), place: z.string(), work: z.string() }),
  ),
});
export type ElsewhereReport = z.infer<typeof elsewhereReport>;
