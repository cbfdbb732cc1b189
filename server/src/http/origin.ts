import type { NextFunction, Request, Response } from "express";
import { AppError } from "./errors";

/** A change asked for by a page of another site is refused; the same-site cookie already keeps most away. */
export function requireSameOrigin(req: Request, _res: Response, next: NextFunction): void {
  const site = req.get("Sec-Fetch-Site");
  const changes = !["GET", "HEAD", "OPTIONS"].includes(req.method);
  if (changes && site !== undefined && !["same-origin", "none"].includes(site))
    return next(new AppError("request/wrong-origin", "This came from another site and was refused."));
  next();
}
