import type { RequestHandler } from "express";
import { OLDEST_PROTOCOL, PROTOCOL, PROTOCOL_HEADER } from "@mechanon/contract";
import { AppError } from "../errors/appError";

/**
 * Holds what would change something against the app it comes from: one too old, or newer than this server, keeps what it
 * has to send. Looking is free for all.
 */
export const requireProtocol: RequestHandler = (req, _res, next) => {
  const spoken = Number(req.get(PROTOCOL_HEADER) ?? PROTOCOL);
  if (req.method === "GET" || req.method === "HEAD" || (spoken >= OLDEST_PROTOCOL && spoken <= PROTOCOL)) return next();
  next(
    spoken > PROTOCOL
      ? new AppError(
          "app/ahead",
          "The server is still older than this app. What you did is kept here and goes out by itself.",
        )
      : new AppError(
          "app/outdated",
          "This app is too old for the server. What you did is kept here and goes out once the newer version is open: load the page again.",
        ),
  );
};
