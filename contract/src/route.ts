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
  /** Needs an `Idempotency-Key`, so that sending it again makes nothing twice. */
  keyed?: boolean;
  params: P;
  query: Q;
  body: B;
  /** null: the answer is no JSON (a file, a stream, or nothing). */
  answer: R;
  status?: number;
}

/** Declares a route; parts that are left out are null. */
export function route<
  P extends Schema | null = null,
  Q extends Schema | null = null,
  B extends Schema | null = null,
  R extends Schema | null = null,
>(
  declared: Pick<Route, "method" | "path" | "summary" | "area" | "open" | "keyed" | "status"> & {
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
