import { z } from "zod";
import { ONLY_KEY } from "../inspection/point";

/** Commands as devices of older versions queued them, each with what it is now. */
const BEFORE = [
  upgraded(
    // Parts in hand were told by their lines alone, which meant all that was still to come.
    z.strictObject({ type: z.literal("receiveParts"), lineIds: z.array(z.string()) }),
    ({ type, lineIds }) => ({ type, items: lineIds.map((lineId) => ({ lineId, quantity: null })) }),
  ),
  upgraded(
    // A point had one measure at the most.
    z.strictObject({
      type: z.literal("gradePoint"),
      pointId: z.string(),
      grade: z.string(),
      measured: z.number().nullable(),
      note: z.string(),
    }),
    ({ measured, ...rest }) => ({ ...rest, measures: measured === null ? {} : { [ONLY_KEY]: measured } }),
  ),
  upgraded(
    // Photos were of points alone.
    z.strictObject({ type: z.literal("attachPhoto"), pointId: z.string(), photoId: z.string() }),
    ({ type, pointId, photoId }) => ({
      ...{ type, photoId, media: "photo", of: "point", id: pointId, moment: null, drawnOn: null },
    }),
  ),
  upgraded(
    z.strictObject({ type: z.literal("removePhoto"), pointId: z.string(), photoId: z.string() }),
    ({ type, photoId }) => ({ type, photoId }),
  ),
  upgraded(
    // A job cured one finding at the most.
    z.looseObject({ type: z.literal("addJob"), pointId: z.string().nullable() }),
    ({ pointId, ...rest }) => ({ ...rest, pointIds: pointId === null ? [] : [pointId] }),
  ),
];

/**
 * A command as devices send it now, from one that a device of an older version queued.
 *
 * @param sent - anything; what is no older command comes back as it is, to be checked by the schema.
 */
export function upgradeCommand(sent: unknown): unknown {
  for (const read of BEFORE) {
    const now = read(sent);
    if (now !== undefined) return now;
  }
  return sent;
}

function upgraded<Before extends z.ZodType>(
  before: Before,
  now: (given: z.output<Before>) => object,
): (sent: unknown) => object | undefined {
  return (sent) => {
    const read = before.safeParse(sent);
    return read.success ? now(read.data) : undefined;
  };
}
