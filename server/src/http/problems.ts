import type { ErrorRequestHandler, Response } from "express";
import type { Logger } from "pino";
import { ConnectionError, ConnectionAcquireTimeoutError, UniqueConstraintError } from "sequelize";
import { z } from "zod";
import { PROBLEM_STATUS, type Problem, type ProblemCode } from "@mechanon/contract";
import { isLostConnection, stoodInTheWay } from "../db/sqlState";
import type { ConstraintProblems } from "./constraints";
import { AppError } from "../errors/appError";

/** Answers with a problem document. @see RFC 9457 */
export function sendProblem(
  res: Response,
  code: ProblemCode,
  detail: string,
  { fields, keptId }: Partial<Pick<Problem, "fields" | "keptId">> = {},
): void {
  const body: Problem = {
    type: `urn:mechanon:problem:${code}`,
    title: TITLES[PROBLEM_STATUS[code]] ?? "Error",
    status: PROBLEM_STATUS[code],
    code,
    detail,
    ...(fields ? { fields } : {}),
    ...(keptId === undefined ? {} : { keptId }),
  };
  res.status(body.status).type("application/problem+json").send(JSON.stringify(body));
}

const TITLES: Record<number, string> = {
  400: "Bad request",
  401: "Not signed in",
  403: "Not allowed",
  404: "Not found",
  409: "Conflict",
  410: "Ended",
  413: "Too large",
  415: "Unsupported type",
  422: "Does not fit",
  429: "Too many tries",
  500: "Server error",
  503: "Unreachable",
};

/** Refusals that tell of somebody trying what is not theirs to do. */
const WATCHED: ReadonlySet<ProblemCode> = new Set([
  "session/wrong-password",
  "session/too-many-tries",
  "rights/missing",
  "request/wrong-origin",
  "request/too-often",
]);

/**
 * The last middleware: turns whatever was thrown into a problem document, and never tells the inside.
 *
 * @param constraints - what each area says of its own that stand in the way.
 */
export function problemHandler(log: Logger, constraints: ConstraintProblems): ErrorRequestHandler {
  return (error: unknown, req, res, next) => {
    if (res.headersSent) return next(error);
    const known = describe(error, constraints);
    // What is still being sent is not waited for.
    if (!req.complete) res.set("Connection", "close");
    if (known) {
      if (WATCHED.has(known.code)) log.warn({ code: known.code, path: req.path, address: req.ip }, "refused");
      if (known.retryAfterSeconds !== undefined) res.set("Retry-After", String(known.retryAfterSeconds));
      return sendProblem(res, known.code, known.detail, known);
    }
    log.error({ err: error, path: req.path }, "request failed");
    sendProblem(
      res,
      "server/failed",
      "The server failed on this, and it is not known whether it was kept. Look before you try again, and tell us if it stays.",
    );
  };
}

interface Described {
  code: ProblemCode;
  detail: string;
  fields?: Problem["fields"];
  keptId?: string;
  retryAfterSeconds?: number;
}

function describe(error: unknown, constraints: ConstraintProblems): Described | null {
  if (error instanceof AppError)
    return {
      code: error.code,
      detail: error.message,
      fields: error.options.fields,
      keptId: error.options.keptId,
      retryAfterSeconds: error.options.retryAfterSeconds,
    };
  if (error instanceof z.ZodError) return invalid(error);
  if (error instanceof UniqueConstraintError)
    return constraints[(error.parent as { constraint?: string }).constraint ?? ""] ?? null;
  if (error instanceof ConnectionError || error instanceof ConnectionAcquireTimeoutError || isLostConnection(error))
    return {
      code: "database/unreachable",
      detail:
        "The database does not answer, so it is not known whether this was kept. What was done on a work order stays on your device and is sent again, once; look at anything else before you try it again.",
      retryAfterSeconds: 5,
    };
  if (stoodInTheWay(error))
    return {
      code: "server/busy",
      detail: "Somebody else changed the same thing in this moment. Nothing was changed; try again.",
      retryAfterSeconds: 1,
    };
  if (isBodyError(error)) return bodyProblem(error);
  return null;
}

/** What did not fit, field by field. */
export function invalid(error: z.ZodError): Described {
  const fields = error.issues.map((issue) => ({
    path: [...issue.path, ...(issue.code === "unrecognized_keys" ? issue.keys : [])].join("."),
    message: issue.message,
  }));
  const [first] = fields;
  return {
    code: "request/invalid",
    detail: `${first ? `${first.path}: ${first.message}. ` : ""}Nothing was changed; correct it and send it again.`,
    fields,
  };
}

interface BodyError {
  status: number;
  type?: string;
}

/** Errors of the body parser and the router carry a client status. */
function isBodyError(error: unknown): error is BodyError {
  return (
    typeof error === "object" &&
    error !== null &&
    "status" in error &&
    typeof error.status === "number" &&
    error.status >= 400 &&
    error.status < 500
  );
}

function bodyProblem({ status, type }: BodyError): Described {
  if (status === 413)
    return {
      code: "request/too-large",
      detail: "This is more than the server takes at once. Nothing was changed; send less.",
    };
  if (status === 415)
    return { code: "request/unsupported-type", detail: "The server takes JSON in UTF-8 here. Nothing was changed." };
  return {
    code: "request/unreadable",
    detail:
      type === "entity.parse.failed"
        ? "The request's body is not JSON. Nothing was changed."
        : "The request cannot be read. Nothing was changed.",
  };
}
