import { z } from "zod";
import { ONLY_KEY } from "./point";
import type { MeasuredBefore } from "./wearAhead";

/** Of another work order of the car, what tells of its inspection; findings as any version wrote them. */
export const orderBefore = z.object({
  odometerMiles: z.object({ value: z.number() }).loose().nullable().catch(null),
  findings: z
    .array(
      z.object({
        pointId: z.string(),
        measures: z.record(z.string(), z.number()).optional(),
        measured: z.number().nullable().optional(),
        photoIds: z.array(z.string()).optional(),
        at: z.string(),
      }),
    )
    .catch([]),
  sheets: z
    .array(z.object({ sheetId: z.string(), closedAt: z.string().nullable() }))
    .nullable()
    .catch([]),
  pictures: z
    .array(
      z.object({
        photoId: z.string(),
        media: z.enum(["photo", "clip"]),
        of: z.string(),
        id: z.string(),
        at: z.string(),
      }),
    )
    .nullable()
    .catch([]),
});
type OrderBefore = z.infer<typeof orderBefore>;

/** A picture of a point, of before. */
export interface PictureBefore {
  photoId: string;
  media: "photo" | "clip";
  pointId: string;
  at: string;
}

/**
 * What was checked on a car on its other work orders.
 *
 * @param dayOf - the calendar day of an instant, where the business is.
 */
export function checkedBefore(
  orders: readonly OrderBefore[],
  dayOf: (instant: string) => string,
): {
  sheets: { sheetId: string; at: string; miles: number | null }[];
  measures: MeasuredBefore[];
  pictures: PictureBefore[];
} {
  const sheets = new Map<string, { sheetId: string; at: string; miles: number | null }>();
  for (const { sheets: run, odometerMiles } of orders)
    for (const { sheetId, closedAt } of run ?? []) {
      const known = sheets.get(sheetId);
      if (closedAt !== null && (!known || known.at < closedAt))
        sheets.set(sheetId, { sheetId, at: closedAt, miles: odometerMiles?.value ?? null });
    }
  const measures = orders.flatMap(({ findings, odometerMiles }) =>
    odometerMiles === null
      ? []
      : findings.flatMap(({ pointId, measures: taken, measured, at }) =>
          Object.entries(taken ?? (typeof measured === "number" ? { [ONLY_KEY]: measured } : {})).map(
            ([key, value]): MeasuredBefore => ({ pointId, key, value, odometer: odometerMiles.value, date: dayOf(at) }),
          ),
        ),
  );
  const pictures = orders.flatMap(({ findings, pictures: taken }): PictureBefore[] => [
    ...(taken ?? [])
      .filter(({ of }) => of === "point")
      .map(({ photoId, media, id, at }) => ({ photoId, media, pointId: id, at })),
    ...findings.flatMap(({ pointId, photoIds = [], at }) =>
      photoIds.map((photoId) => ({ photoId, media: "photo" as const, pointId, at })),
    ),
  ]);
  return {
    sheets: [...sheets.values()],
    measures: measures.sort((a, b) => (a.date < b.date ? -1 : 1)),
    pictures: pictures.sort((a, b) => (a.at > b.at ? -1 : 1)),
  };
}
