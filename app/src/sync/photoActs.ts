import type { Picture } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { give, sendCommand } from "./give";
import { dropPhoto, keepPhoto, retryPhoto } from "./photos";
import { flush } from "./sender";
import type { WaitingPhoto } from "./state";

/** What a picture belongs to. */
export type PictureOf = Pick<Picture, "of" | "id"> & Partial<Pick<Picture, "moment" | "drawnOn" | "media">>;

/** Keeps a photo or clip and ties it to something of a work order; its bytes go when they can, and hold up nothing. */
export async function attachPhoto(
  workOrderId: string,
  { of, id, moment = null, drawnOn = null, media = "photo" }: PictureOf,
  blob: Blob,
): Promise<string> {
  const photoId = uuid();
  await keepPhoto(photoId, blob, { workOrderId });
  sendCommand(workOrderId, { type: "attachPhoto", photoId, media, of, id, moment, drawnOn });
  return photoId;
}

/** Keeps a photo of a car; the car is shown with it once its form is saved. @returns its id. */
export async function takeCarPhoto(vehicleId: string, blob: Blob): Promise<string> {
  const id = uuid();
  await keepPhoto(id, blob, { vehicleId });
  void flush();
  return id;
}

/** Sends a refused photo again. */
export async function sendPhotoAgain(id: string): Promise<void> {
  await retryPhoto(id);
  await flush();
}

/** Lets go of a photo and of its place. */
export async function letGoOfPhoto({ id, place }: WaitingPhoto): Promise<void> {
  await dropPhoto(id);
  if (!place) return;
  if ("vehicleId" in place)
    await give([{ kind: "vehicleChange", target: place.vehicleId, was: { photoId: id }, becomes: { photoId: null } }]);
  else sendCommand(place.workOrderId, { type: "removePhoto", photoId: id });
}
