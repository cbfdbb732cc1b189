import express, { type NextFunction, type Request, type RequestHandler, type Response } from "express";
import { MOST_JSON_BYTES, type Route } from "@mechanon/contract";
import { AppError } from "../errors/appError";

/** Bytes of bodies that are being read or worked on at one time, of all who ask and of one business. */
const MOST_IN_FLIGHT = 160 * 1024 * 1024;
const MOST_OF_ONE = 96 * 1024 * 1024;
/** A sender that says nothing for so long is dropped. */
const SILENT_MS = 20_000;
/** A stranger's body is a few hundred bytes. */
const STRANGER_MS = 10_000;
/** A photo from one bar of signal takes so many times as long. */
const STRANGER_FILE = 9;

/** Reads the bodies routes declare, of their types and sizes, and so many at one time as there is room for. */
export class Bodies {
  private inFlight = 0;
  private readonly of = new Map<string, number>();

  constructor(
    private readonly most = MOST_IN_FLIGHT,
    private readonly mostOfOne = MOST_OF_ONE,
    private readonly patience = { silentMs: SILENT_MS, strangerMs: STRANGER_MS },
  ) {}

  /** How a route's body is read; null: it has none. */
  readerOf({
    body,
    file,
    mostBytes,
  }: Route): ((req: Request, res: Response, whose: string | null) => Promise<void>) | null {
    if (!body && !file) return null;
    const most = file?.mostBytes ?? mostBytes ?? MOST_JSON_BYTES;
    const types = file ? [...file.types] : ["application/json"];
    const parse = file
      ? express.raw({ type: types, limit: most, inflate: false })
      : express.json({ type: types, limit: most });
    return async (req, res, whose) => {
      if (!req.is(types))
        throw new AppError(
          "request/unsupported-type",
          `The server takes ${types.join(", ")} here (Content-Type). Nothing was changed.`,
        );
      const declared = Number(req.get("Content-Length"));
      if (declared > most)
        throw new AppError(
          "request/too-large",
          "This is more than the server takes at once. Nothing was changed; send less.",
        );
      this.reserve(res, whose, declared || most);
      const { silentMs, strangerMs } = this.patience;
      await read(parse, req, res, silentMs, whose === null ? strangerMs * (file ? STRANGER_FILE : 1) : null);
    };
  }

  /** Keeps room for a body until its request is answered. */
  private reserve(res: Response, whose: string | null, bytes: number): void {
    const key = whose ?? "strangers";
    const own = this.of.get(key) ?? 0;
    if (this.inFlight + bytes > this.most || own + bytes > this.mostOfOne)
      throw new AppError("server/busy", "The server has its hands full just now. Nothing was changed; try again.", {
        retryAfterSeconds: 5,
      });
    this.inFlight += bytes;
    this.of.set(key, own + bytes);
    res.once("close", () => {
      this.inFlight -= bytes;
      const left = (this.of.get(key) ?? 0) - bytes;
      if (left > 0) this.of.set(key, left);
      else this.of.delete(key);
    });
  }
}

/** @param deadlineMs - in which all of it has to be here; null: as long as something comes. */
async function read(
  parse: RequestHandler,
  req: Request,
  res: Response,
  silentMs: number,
  deadlineMs: number | null,
): Promise<void> {
  const drop = (): void => void req.socket.destroy();
  const deadline = deadlineMs === null ? null : setTimeout(drop, deadlineMs);
  req.socket.setTimeout(silentMs, drop);
  try {
    await new Promise<void>((resolve, reject) => {
      const next: NextFunction = (error?: unknown) =>
        error === undefined ? resolve() : reject(error instanceof Error ? error : new Error("the body cannot be read"));
      void parse(req, res, next);
    });
  } finally {
    if (deadline) clearTimeout(deadline);
    req.socket.setTimeout(0);
    req.socket.removeListener("timeout", drop);
  }
}
