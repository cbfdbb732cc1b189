import type { z } from "zod";
import { Unreachable } from "../api/problem";

/** Before the names of what is kept in the browser's storage. */
export const KEPT_PREFIX = "mechanon-kept-";
const storage = (): Storage | null => (typeof localStorage === "undefined" ? null : localStorage);

/**
 * What the server answers; where it cannot be reached, what it answered last on this device. For the little that has to
 * be known before the device's database can be opened; `useAnswer` is for all else.
 *
 * @throws what `load` throws, when nothing is kept or the server did answer.
 */
export async function orKept<T>(key: string, schema: z.ZodType<T>, load: () => Promise<T>): Promise<T> {
  try {
    const answer = await load();
    keepHere(key, answer);
    return answer;
  } catch (error) {
    const kept = error instanceof Unreachable ? keptOf(key, schema) : undefined;
    if (kept !== undefined) return kept;
    throw error;
  }
}

/** Keeps an answer on this device; a full storage takes nothing from the answer. */
export function keepHere(key: string, answer: unknown): void {
  try {
    storage()?.setItem(KEPT_PREFIX + key, JSON.stringify(answer));
  } catch (error) {
    reportError(error);
  }
}

/** What is kept; undefined: nothing, or what an older version of the app kept and reads no more. */
export function keptOf<T>(key: string, schema: z.ZodType<T>): T | undefined {
  const kept = storage()?.getItem(KEPT_PREFIX + key);
  if (!kept) return undefined;
  try {
    return schema.safeParse(JSON.parse(kept)).data;
  } catch {
    // Cut off half way by a full storage: nothing that could be read.
    return undefined;
  }
}

/** Lets go of what is kept: somebody signed out. */
export function forgetKept(): void {
  const store = storage();
  if (!store) return;
  for (const key of Object.keys(store)) if (key.startsWith(KEPT_PREFIX)) store.removeItem(key);
}
