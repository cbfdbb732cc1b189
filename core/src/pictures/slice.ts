import { z } from "zod";

/** What a picture belongs to; `id` says which, empty where a work order has one alone. */
export const PICTURE_TARGETS = ["point", "job", "line", "mark", "place", "concern", "apart", "handBack"] as const;
export type PictureTarget = (typeof PICTURE_TARGETS)[number];

/** A photo or clip that is tied to something of a work order. */
export const picture = z.object({
  photoId: z.string(),
  media: z.enum(["photo", "clip"]),
  of: z.enum(PICTURE_TARGETS),
  id: z.string(),
  /** One of a pair: as it was, as it is. */
  moment: z.enum(["before", "after"]).nullable(),
  /** The untouched one it was drawn upon; null: nothing is drawn. */
  drawnOn: z.string().nullable(),
  at: z.iso.datetime(),
  by: z.string(),
});
export type Picture = z.infer<typeof picture>;

export const pictureSlice = z.object({ pictures: z.array(picture) });
export type PictureSlice = z.infer<typeof pictureSlice>;
