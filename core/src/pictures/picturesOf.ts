import type { Picture, PictureSlice, PictureTarget } from "./slice";

/** What there is to see of something, as it was taken, pairs beside each other; a drawn one stands for the untouched. */
export function picturesOf({ pictures }: PictureSlice, of: PictureTarget, id = ""): Picture[] {
  const its = pictures.filter((each) => each.of === of && each.id === id);
  const drawnOn = new Set(its.flatMap(({ drawnOn: untouched }) => untouched ?? []));
  return its.filter(({ photoId }) => !drawnOn.has(photoId));
}

/** Ids of all bytes a work order shows or keeps beneath what is drawn. */
export function photoIdsOf({ pictures }: PictureSlice): string[] {
  return [...new Set(pictures.map(({ photoId }) => photoId))];
}

/** How many pictures a point has. */
export function pointPhotos(state: PictureSlice): (pointId: string) => number {
  return (pointId) => state.pictures.filter((each) => each.of === "point" && each.id === pointId).length;
}
