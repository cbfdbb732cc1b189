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

/** How many pictures there are to see of a point. */
export function pointPhotos(state: PictureSlice): (pointId: string) => number {
  const counts = new Map<string, number>();
  const drawnOn = new Set(state.pictures.flatMap(({ drawnOn: untouched }) => untouched ?? []));
  for (const { of, id, photoId } of state.pictures)
    if (of === "point" && !drawnOn.has(photoId)) counts.set(id, (counts.get(id) ?? 0) + 1);
  return (pointId) => counts.get(pointId) ?? 0;
}
