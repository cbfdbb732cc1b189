import type { NextFunction, Request, Response } from "express";
import { OLDEST_PROTOCOL, PROTOCOL } from "@mechanon/contract";
import { AppError } from "../errors/appError";
import { requireProtocol } from "./protocol";

/** What becomes of a request of an app of this protocol: the problem's code, or that it goes on. */
async function answered(method: string, protocol: number | string | undefined): Promise<string> {
  const req = { method, get: () => protocol?.toString() } as unknown as Request;
  const error = await new Promise<unknown>((resolve) => {
    const next: NextFunction = resolve;
    void requireProtocol(req, {} as Response, next);
  });
  return error instanceof AppError ? error.code : "goes on";
}

it.each([
  ["POST", undefined, "goes on"],
  ["POST", PROTOCOL, "goes on"],
  ["POST", OLDEST_PROTOCOL, "goes on"],
  ["POST", OLDEST_PROTOCOL - 1, "app/outdated"],
  ["PUT", PROTOCOL + 1, "app/ahead"],
  ["DELETE", "of my own", "app/outdated"],
  ["GET", OLDEST_PROTOCOL - 1, "goes on"],
])("%s of protocol %s: %s", async (method, protocol, outcome) => {
  expect(await answered(method, protocol)).toBe(outcome);
});
