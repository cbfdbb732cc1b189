import type { z } from "zod";
import {
  PERSON_HEADER,
  PROTOCOL,
  PROTOCOL_HEADER,
  problem,
  type Parsed,
  type Route,
  type Sent,
} from "@mechanon/contract";
import { noteReach } from "./reachable";
import { actingPerson } from "./actingPerson";
import { forgetEarly, takeEarly } from "./askedEarly";
import { ApiProblem, Unreachable } from "./problem";

type Schema = z.ZodType | null;

/** What a call needs besides its route: only the parts the route has. */
export type CallParts<P extends Schema, Q extends Schema, B extends Schema> = (P extends null
  ? unknown
  : { params: Sent<P> }) &
  (Q extends null ? unknown : { query: Sent<Q> }) &
  (B extends null ? unknown : { body: Sent<B> }) & {
    key?: string;
    signal?: AbortSignal;
    /** Asked whoever is signed in, not for whom this page is. */
    asAnybody?: boolean;
  };

/** A newer server may know more that can go wrong; its words are read all the same. */
const heard = problem.extend({ code: problem.shape.code.catch("request/unknown") });

/** After this long a request is given up for lost. */
export const TIMEOUT_MS = 30_000;

/**
 * Calls a route of the contract and checks its answer.
 *
 * @throws {ApiProblem} when the server says no, {Unreachable} when it says nothing.
 */
export async function call<P extends Schema, Q extends Schema, B extends Schema, R extends Schema>(
  route: Route<P, Q, B, R>,
  parts: CallParts<P, Q, B>,
): Promise<Parsed<R>> {
  const { params, query, body, key, signal, asAnybody } = parts as {
    params?: Record<string, string>;
    query?: Record<string, string>;
    body?: unknown;
    key?: string;
    signal?: AbortSignal;
    asAnybody?: boolean;
  };
  const response = await reach(addressOf(route.path, params, query), {
    method: route.method.toUpperCase(),
    headers: {
      Accept: "application/json",
      ...(body === undefined ? {} : { "Content-Type": "application/json" }),
      ...(key === undefined ? {} : { "Idempotency-Key": key }),
      ...(asAnybody ? {} : ofPerson()),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    signal: signal ?? AbortSignal.timeout(TIMEOUT_MS),
  });
  return (route.answer ? route.answer.parse(await response.json()) : undefined) as Parsed<R>;
}

/** The bytes of a photo. @returns null for one that is not kept any more. */
export async function fetchPhoto(address: string): Promise<Blob | null> {
  try {
    return await (await reach(address, { headers: ofPerson() })).blob();
  } catch (error) {
    if (error instanceof ApiProblem && error.problem.status === 404) return null;
    throw error;
  }
}

/** Says whose page asks, and which protocol it speaks. */
export function ofPerson(): Record<string, string> {
  const person = actingPerson();
  return { [PROTOCOL_HEADER]: String(PROTOCOL), ...(person === null ? {} : { [PERSON_HEADER]: person }) };
}

/** The address of a route with its parameters filled in. */
export function addressOf(
  path: string,
  params: Record<string, string> = {},
  query: Record<string, string> = {},
): string {
  const filled = path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ""));
  const search = new URLSearchParams(query).toString();
  return search === "" ? filled : `${filled}?${search}`;
}

/**
 * Asks the server, and tells whether it answered.
 * @throws {ApiProblem} when the server says no, {Unreachable} when it says nothing.
 */
export async function reach(address: string, init: RequestInit): Promise<Response> {
  let response: Response;
  try {
    const isLooking = (init.method ?? "GET") === "GET";
    if (!isLooking) forgetEarly();
    const early = isLooking ? await takeEarly(address) : undefined;
    response = early ?? (await fetch(address, { credentials: "same-origin", ...init }));
  } catch (error) {
    noteReach(false);
    throw new Unreachable(error);
  }
  noteReach(true);
  if (response.ok) return response;
  const parsed = heard.safeParse(await response.json().catch(() => null));
  // A gateway in between answers in its own words: the same as no answer.
  if (!parsed.success) throw new Unreachable(new Error(`status ${response.status}`));
  throw new ApiProblem(parsed.data);
}
