import express, { type Router } from "express";
import { MOST_PHOTO_BYTES, PHOTO_TYPES, routes } from "@mechanon/contract";
import { AppError } from "../http/errors";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { findPhotos, keepPhoto } from "./photos";

/** First bytes of each kind of picture we take; what a file is called does not count. */
const MAGIC: Record<(typeof PHOTO_TYPES)[number], (bytes: Buffer) => boolean> = {
  "image/jpeg": (bytes) => bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])),
  "image/png": (bytes) => bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  "image/webp": (bytes) =>
    bytes.subarray(0, 4).toString("latin1") === "RIFF" && bytes.subarray(8, 12).toString("latin1") === "WEBP",
};

export function photoRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  router.use("/api/photos", express.raw({ type: () => true, limit: MOST_PHOTO_BYTES }));
  mount(router, routes.putPhoto, scopeOf, async ({ scope, params, req }) => {
    const bytes = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0);
    const type = PHOTO_TYPES.find((candidate) => MAGIC[candidate](bytes));
    if (!type)
      throw new AppError(
        "photo/unreadable",
        "This file is no JPEG, PNG or WebP picture. It was not kept; take the photo again or pick another file.",
      );
    await keepPhoto(deps, scope.businessId, { id: params.id, type, bytes });
  });
  mount(router, routes.getPhoto, scopeOf, async ({ scope, params, res }) => {
    const [photo] = await findPhotos(deps, scope.businessId, [params.id]);
    if (!photo)
      throw new AppError(
        "photo/not-found",
        "This photo has not arrived here yet. It may still be on the phone that took it.",
      );
    res.type(photo.type).set("Cache-Control", "private, max-age=31536000, immutable").send(photo.bytes);
  });
}
