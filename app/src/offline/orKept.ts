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
    storage()?.setItem(PREFIX + key, JSON.stringify(answer));
    return answer;
  } catch (error) {
    const kept = error instanceof Unreachable ? storage()?.getItem(PREFIX + key) : null;
    // An answer of an older version of the app is no answer.
    const parsed = kept ? schema.safeParse(JSON.parse(kept)) : null;
    if (parsed?.success) return parsed.data;
    throw error;
  }
}

/** Lets go of what is kept: somebody signed out. */
export function forgetKept(): void {
  const store = storage();
  if (!store) return;
  for (const key of Object.keys(store)) if (key.startsWith(PREFIX)) store.removeItem(key);
}
