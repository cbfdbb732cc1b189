import { Router, type Request, type Response } from "express";
import type { Transaction } from "sequelize";
import { z } from "zod";
import type { Parsed, Route } from "@mechanon/contract";
import { requireRight } from "./requireRight";
import { ofBusiness } from "../db/ofBusiness";
import type { Deps, SessionPerson } from "../scope";
import { Bodies } from "./bodies";
import { once } from "./idempotency";
import { Rates } from "./rates";

type Schema = z.ZodType | null;

/** What a handler gets: everything checked. */
export interface OpenCall<P extends Schema, Q extends Schema, B extends Schema> {
  params: Parsed<P>;
  query: Parsed<Q>;
  body: Parsed<B>;
  /** The body of a route that takes a file. */
  file: Buffer;
  req: Request;
  res: Response;
}
/** The same, and who asks. */
export interface Call<P extends Schema, Q extends Schema, B extends Schema> extends OpenCall<P, Q, B> {
  scope: SessionPerson;
}
/** The same, and the transaction that keeps the answer under the request's key. */
export interface KeyedCall<P extends Schema, Q extends Schema, B extends Schema> extends Call<P, Q, B> {
  transaction: Transaction;
}
type Answer<R extends Schema> = R extends z.ZodType ? z.input<R> : void;
type Declared<P extends Schema, Q extends Schema, B extends Schema, R extends Schema> = Route<P, Q, B, R>;

/**
 * Ties routes of the contract to their handlers, and holds what they declare, in this order: who asks, their right, how
 * often, the body's type and size, its key, parameters and query and body by their schemas. All that follows is done for
 * the asker's business.
 */
export class Mounting {
  readonly router = Router();
  private readonly bodies = new Bodies();
  private readonly rates: Rates;

  /** @param sessionOf - gives who asks; throws for a stranger. */
  constructor(
    private readonly deps: Pick<Deps, "db">,
    private readonly sessionOf: (req: Request) => Promise<SessionPerson>,
  ) {
    this.rates = new Rates(deps.db);
  }

  /** A route for people who are signed in. */
  route<P extends Schema, Q extends Schema, B extends Schema, R extends Schema>(
    declared: Declared<P, Q, B, R>,
    handle: (call: Call<P, Q, B>) => Promise<Answer<R>>,
  ): void {
    if (declared.open || declared.keyed) throw new Error(`${declared.path} is declared otherwise than it is mounted`);
    this.closed(declared, handle);
  }

  /** A route whose work is done once for each `Idempotency-Key`. */
  keyed<P extends Schema, Q extends Schema, B extends Schema, R extends z.ZodType>(
    declared: Declared<P, Q, B, R>,
    handle: (call: KeyedCall<P, Q, B>) => Promise<Answer<R> & object>,
  ): void {
    if (declared.open || !declared.keyed) throw new Error(`${declared.path} is declared otherwise than it is mounted`);
    this.closed<P, Q, B, R>(declared, (call) =>
      once(this.deps.db, call.scope, call.req, (transaction) => handle({ ...call, transaction })),
    );
  }

  /** A route for anybody. */
  open<P extends Schema, Q extends Schema, B extends Schema, R extends Schema>(
    declared: Declared<P, Q, B, R>,
    handle: (call: OpenCall<P, Q, B>) => Promise<Answer<R>>,
  ): void {
    if (!declared.open || declared.right || declared.keyed)
      throw new Error(`${declared.path} is declared otherwise than it is mounted`);
    const read = this.bodies.readerOf(declared);
    this.router[declared.method](declared.path, async (req, res) => {
      await this.rates.count(declared, `from ${req.ip ?? ""}`);
      if (read) await read(req, res, null);
      send(declared, res, await handle(checked(declared, req, res)));
    });
  }

  private closed<P extends Schema, Q extends Schema, B extends Schema, R extends Schema>(
    declared: Declared<P, Q, B, R>,
    handle: (call: Call<P, Q, B>) => Promise<Answer<R>>,
  ): void {
    const read = this.bodies.readerOf(declared);
    this.router[declared.method](declared.path, async (req, res) => {
      const scope = await this.sessionOf(req);
      if (declared.right) requireRight(scope, declared.right);
      await this.rates.count(declared, `${scope.businessId}/${scope.actor.id}`);
      if (read) await read(req, res, scope.businessId);
      const call = { ...checked(declared, req, res), scope };
      send(declared, res, await ofBusiness(scope.businessId, () => handle(call)));
    });
  }
}

function checked<P extends Schema, Q extends Schema, B extends Schema>(
  declared: Declared<P, Q, B, Schema>,
  req: Request,
  res: Response,
): OpenCall<P, Q, B> {
  return {
    params: check(declared.params, req.params),
    query: check(declared.query, req.query),
    body: check(declared.body, req.body),
    file: Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0),
    req,
    res,
  };
}

function check<S extends Schema>(schema: S, value: unknown): Parsed<S> {
  return (schema ? schema.parse(value) : undefined) as Parsed<S>;
}

function send({ status, answer: schema, stream }: Route, res: Response, answer: unknown): void {
  if (res.headersSent || res.writableEnded || stream) return;
  if (status !== undefined) res.status(status);
  if (schema) res.json(answer);
  else res.end();
}
