import { z } from "zod";
import { idParams } from "../fields";
import { route } from "../route";
import { CLIP_TYPES, PHOTO_TYPES } from "./photoTypes";

/** Largest photo taken, in bytes; the app sends smaller ones. */
export const MOST_PHOTO_BYTES = 8 * 1024 * 1024;
/** Largest clip taken, in bytes, and longest, in seconds. */
export const MOST_CLIP_BYTES = 15 * 1024 * 1024;
export const MOST_CLIP_SECONDS = 20;

/** A small one is asked for by its size. */
export const photoSize = z.object({ size: z.enum(["small"]).optional() });
const photoArrived = z.object({ arrivedBytes: z.number().int() });
const bytesField = z.coerce.number().int().min(0).max(MOST_CLIP_BYTES);

export const photoRoutes = {
  putPhoto: route({
    method: "post",
    path: "/api/photos/:id",
    area: "photos",
    summary: "Keep a photo or clip (the body is its bytes); the same id again changes nothing",
    params: idParams,
    file: { types: [...PHOTO_TYPES, ...CLIP_TYPES], mostBytes: MOST_CLIP_BYTES },
    status: 204,
  }),
  photoArrived: route({
    method: "get",
    path: "/api/photos/:id/pieces",
    area: "photos",
    summary: "How much of a photo has arrived, in bytes from its first on; of a whole one all",
    params: idParams,
    answer: photoArrived,
  }),
  addPhotoPiece: route({
    method: "post",
    path: "/api/photos/:id/pieces",
    area: "photos",
    summary:
      "Add a piece to a photo (the body is its bytes, which follow on what is here); the last one makes it whole",
    params: idParams,
    query: z.object({ from: bytesField, of: bytesField }),
    file: { types: ["application/octet-stream"], mostBytes: 1024 * 1024 },
    answer: photoArrived,
  }),
  getPhoto: route({
    method: "get",
    path: "/api/photos/:id",
    area: "photos",
    summary: "A photo or clip; small: for a list",
    params: idParams,
    query: photoSize,
  }),
};
