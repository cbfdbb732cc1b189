import type { z } from "zod";
import { Unreachable } from "../api/problem";

const PREFIX = "mechanon-kept-";
const storage = (): Storage | null => (typeof localStorage === "undefined" ? null : localStorage);

/**
 * What the server answers; where it cannot be reached, what it answered last on this device.
 * @throws what `load` throws, when nothing is kept or the server did answer.
 */
export async function orKept<T>(key: string, schema: z.ZodType<T>, load: () => Promise<T>): Promise<T> {
  try {
    const answer = await load();
    keep(key, answer);
    return answer;
  } catch (error) {
    const kept = error instanceof Unreachable ? keptOf(key) : undefined;
    // An answer of an older version of the app that reads no more is no answer.
    const parsed = kept === undefined ? null : schema.safeParse(kept);
    if (parsed?.success) return parsed.data;
    throw error;
  }
}

/** Keeps an answer on this device. */
export function keep(key: string, answer: unknown): void {
  storage()?.setItem(PREFIX + key, JSON.stringify(answer));
}

/** What is kept, of whatever version; undefined: nothing. */
export function keptOf(key: string): unknown {
  const kept = storage()?.getItem(PREFIX + key);
  return kept ? (JSON.parse(kept) as unknown) : undefined;
}

/** Lets go of what is kept: somebody signed out. */
export function forgetKept(): void {
  const store = storage();
  if (!store) return;
  for (const key of Object.keys(store)) if (key.startsWith(PREFIX)) store.removeItem(key);
}
