import type { Right } from "@mechanon/core";
import type { z } from "zod";

export type Method = "get" | "post" | "patch" | "delete";
type Schema = z.ZodType;

/** One route of the wire: what it takes and gives. */
export interface Route<
  P extends Schema | null = Schema | null,
  Q extends Schema | null = Schema | null,
  B extends Schema | null = Schema | null,
  R extends Schema | null = Schema | null,
> {
  method: Method;
  /** With `:name` for parameters, from `/api` on. */
  path: string;
  summary: string;
  area: string;
  /** Usable without signing in. */
  open?: boolean;
  /** What whoever asks must be allowed; left out: whoever is signed in. */
  right?: Right;
  /** Needs an `Idempotency-Key`, so that sending it again makes nothing twice. */
  keyed?: boolean;
  /** The body is a file: of these types, this large at most. */
  file?: { types: readonly string[]; mostBytes: number };
  /** Of a body in JSON; left out: `MOST_JSON_BYTES`. */
  mostBytes?: number;
  /** What costs money or reaches somebody: so often a person may ask, in so many minutes; of an open route an address. */
  rate?: { most: number; minutes: number };
  /** The answer goes on for as long as the asker listens. */
  stream?: boolean;
  params: P;
  query: Q;
  body: B;
  /** null: the answer is no JSON (a file, a stream, or nothing). */
  answer: R;
  status?: number;
}

/** Largest body in JSON where a route says nothing else. */
export const MOST_JSON_BYTES = 64 * 1024;

/** Declares a route; parts that are left out are null. */
export function route<
  P extends Schema | null = null,
  Q extends Schema | null = null,
  B extends Schema | null = null,
  R extends Schema | null = null,
>(
  declared: Pick<
    Route,
    | "method"
    | "path"
    | "summary"
    | "area"
    | "open"
    | "right"
    | "keyed"
    | "file"
    | "mostBytes"
    | "rate"
    | "stream"
    | "status"
  > & {
    params?: P;
    query?: Q;
    body?: B;
    answer?: R;
  },
): Route<P, Q, B, R> {
  return {
    ...declared,
    params: (declared.params ?? null) as P,
    query: (declared.query ?? null) as Q,
    body: (declared.body ?? null) as B,
    answer: (declared.answer ?? null) as R,
  };
}

export type Parsed<S extends Schema | null> = S extends Schema ? z.output<S> : undefined;
export type Sent<S extends Schema | null> = S extends Schema ? z.input<S> : undefined;
