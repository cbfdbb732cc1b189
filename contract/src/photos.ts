import { idParams } from "./fields";
import { route } from "./route";

/** Largest photo taken, in bytes; the app sends smaller ones. */
export const MOST_PHOTO_BYTES = 8 * 1024 * 1024;
export const PHOTO_TYPES = ["image/jpeg", "image/png", "image/webp"] as const;

export const photoRoutes = {
  putPhoto: route({
    method: "post",
    path: "/api/photos/:id",
    area: "photos",
    summary: "Keep a photo (the body is the image); the same id again changes nothing",
    params: idParams,
    file: { types: PHOTO_TYPES, mostBytes: MOST_PHOTO_BYTES },
    status: 204,
  }),
  getPhoto: route({ method: "get", path: "/api/photos/:id", area: "photos", summary: "A photo", params: idParams }),
};
