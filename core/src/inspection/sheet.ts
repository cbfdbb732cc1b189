import { z } from "zod";
import { text } from "../text/text";
import { inspectionPoint } from "./point";

/** When a sheet comes by itself; with none of it somebody takes it out. */
export const sheetComes = z.object({
  /** With every visit. */
  always: z.boolean().default(false),
  /** When the car is seen for the first time. */
  firstVisit: z.boolean().default(false),
  /** With one of these jobs on the quote. */
  libraryJobIds: z.array(z.string().max(60)).max(60).default([]),
  /** Again after so many miles; null: not by miles. */
  everyMiles: z.number().int().min(500).max(200_000).nullable().default(null),
});

/** A sheet of the owner's: points in the order they are looked at. */
export const inspectionSheet = z.object({
  id: text(60).min(1),
  title: text(60).min(1, "a sheet needs a title"),
  pointIds: z.array(text(60).min(1)).max(150),
  comes: sheetComes.default({ always: false, firstVisit: false, libraryJobIds: [], everyMiles: null }),
});
export type InspectionSheet = z.infer<typeof inspectionSheet>;
export type InspectionSheetInput = z.input<typeof inspectionSheet>;

/** A sheet that is run on a work order, as it was when it began: what the owner changes later does not reach it. */
export const startedSheet = z.object({
  sheetId: z.string(),
  title: z.string(),
  points: z.array(inspectionPoint),
  startedAt: z.iso.datetime(),
  startedBy: z.string(),
  /** null: it is being run. */
  closedAt: z.iso.datetime().nullable(),
  closedBy: z.string().nullable(),
});
export type StartedSheet = z.infer<typeof startedSheet>;
