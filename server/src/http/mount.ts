import express, { type NextFunction, type Request, type Response, type Router } from "express";
import { z } from "zod";
import type { Parsed, Route } from "@mechanon/contract";
import type { Scope } from "../scope";
import { AppError } from "./errors";

type Schema = z.ZodType | null;

/** What a handler gets: everything checked, and who asks. */
export interface Call<P extends Schema, Q extends Schema, B extends Schema, S> {
  params: Parsed<P>;
  query: Parsed<Q>;
  body: Parsed<B>;
  scope: S;
  req: Request;
  res: Response;
}
type Answer<R extends Schema> = R extends z.ZodType ? z.input<R> : void;

const jsonBody = express.json({ limit: "4mb", type: "application/json" });

/**
 * Ties a route of the contract to its handler: parameters, query and body are checked by its schemas, the answer is
 * sent with its status.
 *
 * @param scopeOf - gives who asks; throws for a stranger.
 */
export function mount<P extends Schema, Q extends Schema, B extends Schema, R extends Schema, S>(
  router: Router,
  declared: Route<P, Q, B, R>,
  scopeOf: (req: Request) => Promise<S>,
  handle: (call: Call<P, Q, B, S>) => Promise<Answer<R>>,
): void {
  const parseBody = declared.body ? [requireJson, jsonBody] : [];
  router[declared.method](declared.path, ...parseBody, async (req, res) => {
    const scope = await scopeOf(req);
    const call: Call<P, Q, B, S> = {
      params: check(declared.params, req.params),
      query: check(declared.query, req.query),
      body: check(declared.body, req.body),
      scope,
      req,
      res,
    };
    const answer = await handle(call);
    if (res.headersSent || res.writableEnded) return;
    res.status(declared.status ?? 200);
    if (declared.answer) res.json(answer);
    else res.end();
  });
}

function check<S extends Schema>(schema: S, value: unknown): Parsed<S> {
  return (schema ? schema.parse(value) : undefined) as Parsed<S>;
}

function requireJson(req: Request, _res: Response, next: NextFunction): void {
  if (!req.is("application/json"))
    return next(
      new AppError(
        "request/unsupported-type",
        "The server takes JSON here (Content-Type: application/json). Nothing was changed.",
      ),
    );
  next();
}

/** Anybody may ask. */
export async function anyone(): Promise<null> {
  return null;
}

export type ScopeOf = (req: Request) => Promise<Scope>;
