import { ExponentialBackoff, handleType, retry, timeout, TimeoutStrategy, wrap } from "cockatiel";
import type { z } from "zod";

/** The other side could not be reached, or did not answer as agreed. What it did is unknown. */
export class OutsideError extends Error {
  constructor(message: string, options?: { cause?: unknown }) {
    super(message, options);
    this.name = "OutsideError";
  }
}

export interface OutsideRequest<T> {
  url: string;
  method: "GET" | "POST";
  body?: unknown;
  /** Makes sending it again safe where it costs money or sends something. */
  key?: string;
  /** What its answers look like, by HTTP status; any other status is an OutsideError. */
  answers: Record<number, z.ZodType<T>>;
}

/** Calls an outside service: with a time-out, and again with jitter, since every call of ours may be repeated. */
export class OutsideHttp {
  private readonly policy;

  constructor(timeoutMs: number, attempts = 3) {
    this.policy = wrap(
      retry(handleType(OutsideError), {
        maxAttempts: attempts - 1,
        backoff: new ExponentialBackoff({ initialDelay: 150, maxDelay: 1000 }),
      }),
      timeout(timeoutMs, { strategy: TimeoutStrategy.Cooperative, abortOnReturn: false }),
    );
  }

  async call<T>({ url, method, body, key, answers }: OutsideRequest<T>): Promise<T> {
    try {
      return await this.policy.execute(async ({ signal }) => {
        const response = await fetchOrThrow(url, {
          method,
          signal,
          headers: {
            ...(body === undefined ? {} : { "Content-Type": "application/json" }),
            ...(key === undefined ? {} : { "Idempotency-Key": key }),
          },
          ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        });
        const schema = answers[response.status];
        if (!schema) throw new OutsideError(`${new URL(url).pathname} answered ${response.status}`);
        const parsed = schema.safeParse(await response.json().catch(() => undefined));
        if (!parsed.success)
          throw new OutsideError(`${new URL(url).pathname} answered something else than agreed`, {
            cause: parsed.error,
          });
        return parsed.data;
      });
    } catch (error) {
      if (error instanceof OutsideError) throw error;
      throw new OutsideError(`${new URL(url).pathname} did not answer in time`, { cause: error });
    }
  }
}

async function fetchOrThrow(url: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(url, init);
  } catch (error) {
    throw new OutsideError(`${new URL(url).pathname} cannot be reached`, { cause: error });
  }
}

/** What is known of a thing, as the query of an address; what is not known is left out. */
export function queryOf(values: object): string {
  return new URLSearchParams(
    Object.entries(values).flatMap(([name, value]) => (value === null ? [] : [[name, String(value)]])),
  ).toString();
}
