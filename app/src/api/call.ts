import type { z } from "zod";
import { problem, routes, type ImportView, type Parsed, type Route, type Sent } from "@mechanon/contract";
import { ApiProblem, Unreachable } from "./problem";

type Schema = z.ZodType | null;

/** What a call needs besides its route: only the parts the route has. */
export type CallParts<P extends Schema, Q extends Schema, B extends Schema> = (P extends null
  ? unknown
  : { params: Sent<P> }) &
  (Q extends null ? unknown : { query: Sent<Q> }) &
  (B extends null ? unknown : { body: Sent<B> }) & { key?: string; signal?: AbortSignal };

const TIMEOUT_MS = 30_000;

/**
 * Calls a route of the contract and checks its answer.
 *
 * @throws {ApiProblem} when the server says no, {Unreachable} when it says nothing.
 */
export async function call<P extends Schema, Q extends Schema, B extends Schema, R extends Schema>(
  route: Route<P, Q, B, R>,
  parts: CallParts<P, Q, B>,
): Promise<Parsed<R>> {
  const { params, query, body, key, signal } = parts as {
    params?: Record<string, string>;
    query?: Record<string, string>;
    body?: unknown;
    key?: string;
    signal?: AbortSignal;
  };
  const response = await reach(addressOf(route.path, params, query), {
    method: route.method.toUpperCase(),
    headers: {
      Accept: "application/json",
      ...(body === undefined ? {} : { "Content-Type": "application/json" }),
      ...(key === undefined ? {} : { "Idempotency-Key": key }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    signal: signal ?? AbortSignal.timeout(TIMEOUT_MS),
  });
  return (route.answer ? route.answer.parse(await response.json()) : undefined) as Parsed<R>;
}

/** Sends a picture's bytes. */
export async function sendPhoto(id: string, photo: Blob): Promise<void> {
  await reach(`/api/photos/${id}`, {
    method: "POST",
    headers: { "Content-Type": photo.type || "application/octet-stream" },
    body: photo,
  });
}

/** Sends a file of customers; the same id again changes nothing. */
export async function sendImport(id: string, file: File): Promise<ImportView> {
  const address = addressOf(routes.startImport.path, { id }, { name: file.name });
  const response = await reach(address, {
    method: "POST",
    headers: { "Content-Type": "application/octet-stream" },
    body: file,
  });
  return routes.startImport.answer.parse(await response.json());
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

async function reach(address: string, init: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(address, { credentials: "same-origin", ...init });
  } catch (error) {
    throw new Unreachable(error);
  }
  if (response.ok) return response;
  const parsed = problem.safeParse(await response.json().catch(() => null));
  // A gateway in between answers in its own words: the same as no answer.
  if (!parsed.success) throw new Unreachable(new Error(`status ${response.status}`));
  throw new ApiProblem(parsed.data);
}
