import { v7 as uuid } from "uuid";
import { give, sendCommand } from "./give";
import { dropPhoto, keepPhoto, retryPhoto } from "./photos";
import { flush } from "./sender";
import type { WaitingPhoto } from "./state";

/** Keeps a photo and attaches it to an inspection point; its bytes go when they can, and hold up nothing. */
export async function attachPhoto(workOrderId: string, pointId: string, blob: Blob): Promise<void> {
  const id = uuid();
  await keepPhoto(id, blob, { workOrderId, pointId });
  sendCommand(workOrderId, { type: "attachPhoto", pointId, photoId: id });
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
  else sendCommand(place.workOrderId, { type: "removePhoto", pointId: place.pointId, photoId: id });
}
