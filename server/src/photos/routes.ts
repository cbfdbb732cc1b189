import { routes } from "@mechanon/contract";
import { AppError } from "../errors/appError";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { findPhotos, findSmallPhoto, keepPhoto } from "./photos";
import { addPiece, arrivedBytes } from "./pieces";
import { sendMedia } from "./sendMedia";

export function photoRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.putPhoto, async ({ scope, params, file: bytes }) => {
    await keepPhoto(deps, scope.businessId, { id: params.id, bytes });
  });
  mounting.route(routes.photoArrived, async ({ scope, params }) => ({
    arrivedBytes: await arrivedBytes(deps.db, scope.businessId, params.id),
  }));
  mounting.route(routes.addPhotoPiece, async ({ scope, params, query, file }) => ({
    arrivedBytes: await addPiece(deps, scope.businessId, {
      id: params.id,
      fromByte: query.from,
      ofBytes: query.of,
      bytes: file,
    }),
  }));
  mounting.route(routes.getPhoto, async ({ scope, params, query, req, res }) => {
    // An id names the same picture for good, but only whoever is signed in may look at it again.
    const tag = `"${params.id}${query.size ?? ""}"`;
    res.set({ "Cache-Control": "private, no-cache", ETag: tag });
    const photo =
      query.size === "small"
        ? await findSmallPhoto(deps, scope.businessId, params.id)
        : (await findPhotos(deps, scope.businessId, [params.id]))[0];
    if (!photo)
      throw new AppError(
        "photo/not-found",
        "This photo has not arrived here yet. It may still be on the phone that took it.",
      );
    if (req.get("If-None-Match") === tag) res.status(304).end();
    else sendMedia(req, res, photo);
  });
}
