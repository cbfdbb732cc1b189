import { inspectionPoint, inspectionSheet, pointFault, type BusinessSettings } from "@mechanon/core";
import type { Control } from "react-hook-form";
import { z } from "zod";
import { begunFrom } from "./begunFrom";

const shape = inspectionPoint.shape;
const measureShape = shape.measures.element.shape;
/** Half typed they have no words yet, and limits are texts; empty: there is none. */
const typedMeasure = z.object({
  ...measureShape,
  name: z.string(),
  watchBelow: z.string(),
  actBelow: z.string(),
  watchAbove: z.string(),
  actAbove: z.string(),
  most: z.string(),
});
const typedPoint = z.object({ ...shape, title: z.string(), area: z.string(), measures: z.array(typedMeasure) });

/** Points and sheets as they are typed. */
export const typedInspection = z.object({
  base: begunFrom,
  inspection: z.array(typedPoint),
  sheets: z.array(z.object({ ...inspectionSheet.shape, title: z.string() })),
});
export type TypedInspection = z.input<typeof inspectionForm>;

/** The form of the sheets. */
export type InspectionControl = Control<TypedInspection, unknown, z.output<typeof inspectionForm>>;

const number = (typed: string, context: z.RefinementCtx<string>): number => {
  const read = Number(typed.trim());
  if (typed.trim() !== "" && Number.isFinite(read)) return read;
  context.addIssue({ code: "custom", message: "a number is needed" });
  return z.NEVER;
};
const limit = z.string().transform((typed, context) => (typed.trim() === "" ? null : number(typed, context)));
const most = z.string().transform(number);

/** The same, read: limits are numbers, and none is softer than the law. */
export const inspectionForm = typedInspection.extend({
  inspection: z.array(
    typedPoint
      .extend({
        ...{ title: shape.title, area: shape.area },
        measures: z.array(
          typedMeasure.extend({
            ...{ name: measureShape.name, most },
            ...{ watchBelow: limit, actBelow: limit, watchAbove: limit, actAbove: limit },
          }),
        ),
      })
      .superRefine((point, context) => {
        const fault = pointFault(point);
        if (fault !== null) context.addIssue({ code: "custom", message: fault, path: ["title"] });
      }),
  ),
  sheets: z.array(inspectionSheet),
});

const shown = (value: number | null): string => (value === null ? "" : String(value));

/** Settings as they are typed. */
export function typedInspectionOf(settings: BusinessSettings): TypedInspection {
  return {
    base: settings,
    inspection: settings.inspection.map((point) => ({
      ...point,
      measures: point.measures.map((measure) => ({
        ...measure,
        most: shown(measure.most),
        watchBelow: shown(measure.watchBelow),
        actBelow: shown(measure.actBelow),
        watchAbove: shown(measure.watchAbove),
        actAbove: shown(measure.actAbove),
      })),
    })),
    sheets: settings.sheets,
  };
}
