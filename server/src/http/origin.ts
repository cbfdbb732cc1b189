import type { NextFunction, Request, RequestHandler, Response } from "express";
import { AppError } from "../errors/appError";

const CHANGES_NOTHING = ["GET", "HEAD", "OPTIONS"];

/**
 * A change asked for by a page of another site is refused; the same-site cookie already keeps most away. Browsers say
 * where a request comes from in one header or the other; what is no browser says neither.
 *
 * @param publicUrl - where the app is served from, beside the address it is asked at.
 */
export function requireSameOrigin(publicUrl: string): RequestHandler {
  const own = new URL(publicUrl).origin;
  return (req: Request, _res: Response, next: NextFunction) => {
    const site = req.get("Sec-Fetch-Site");
    const origin = req.get("Origin");
    const isOther =
      (site !== undefined && !["same-origin", "none"].includes(site)) ||
      (origin !== undefined && origin !== own && origin !== `${req.protocol}://${req.get("Host") ?? ""}`);
    if (!CHANGES_NOTHING.includes(req.method) && isOther)
      return next(new AppError("request/wrong-origin", "This came from another site and was refused."));
    next();
  };
}
