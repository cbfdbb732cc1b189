import { z } from "zod";
import { uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import type { PictureRefusal } from "./refusals";
import { PICTURE_TARGETS, type Picture, type PictureSlice } from "./slice";

const attachPhoto = z.strictObject({
  type: z.literal("attachPhoto"),
  photoId: uuid,
  media: z.enum(["photo", "clip"]),
  of: z.enum(PICTURE_TARGETS),
  id: words(60),
  moment: z.enum(["before", "after"]).nullable(),
  drawnOn: uuid.nullable(),
});
const removePhoto = z.strictObject({ type: z.literal("removePhoto"), photoId: uuid });

const MOST_OF_ONE = 60;
const MOST_OF_ORDER = 400;

const rule = ruleFor<PictureSlice, PictureSlice>();

export const pictureRules = {
  attachPhoto: rule({
    schema: attachPhoto,
    kind: "intention",
    apply({ pictures }, { type: _attach, ...given }, { at, actor }) {
      const others = pictures.filter(({ photoId }) => photoId !== given.photoId);
      const ofOne = others.filter(({ of, id }) => of === given.of && id === given.id);
      if (ofOne.length >= MOST_OF_ONE || others.length >= MOST_OF_ORDER)
        throw new Refusal<PictureRefusal>("photo/too-many");
      const taken: Picture = { ...given, at, by: actor.id };
      return { pictures: [...others, taken] };
    },
  }),
  removePhoto: rule({
    schema: removePhoto,
    kind: "intention",
    apply({ pictures }, { photoId }) {
      if (!pictures.some((each) => each.photoId === photoId)) throw new Refusal<PictureRefusal>("photo/not-found");
      // What was drawn away shows the untouched one again.
      return { pictures: pictures.filter((each) => each.photoId !== photoId) };
    },
  }),
};
