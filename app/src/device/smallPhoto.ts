import { shrinkPhoto } from "../photos/shrink";

const SMALL_SIDE = 320;

/** @returns null when it is no picture this browser can read. */
export function smallPhoto(photo: Blob): Promise<Blob | null> {
  return shrinkPhoto(photo, SMALL_SIDE);
}
