import type { z } from "zod";
import { whenOpen } from "../device/device";
import { businessForward } from "./settingsForward";

/** What the server answered, and when. */
export interface Kept<T> {
  answer: T;
  asOf: string;
}

/** Keeps an answer on this device for when there is no signal; where there is no room it is only shown. */
export async function keepAnswer(key: readonly unknown[], answer: unknown): Promise<void> {
  const asOf = new Date().toISOString();
  try {
    // The first answers may be here before the device's database is open.
    await (await whenOpen())?.answers.put({ key: JSON.stringify(key), answer, asOf });
  } catch (error) {
    reportError(error);
  }
}

/**
 * What the server answered last on this device.
 * @returns null when nothing is kept, or what an older version of the app kept reads no more.
 */
export async function keptAnswer<T>(key: readonly unknown[], schema: z.ZodType<T>): Promise<Kept<T> | null> {
  try {
    const kept = await (await whenOpen())?.answers.get(JSON.stringify(key));
    if (!kept) return null;
    const read = schema.safeParse(key[0] === "business" ? businessForward(kept.answer) : kept.answer);
    return read.success ? { answer: read.data, asOf: kept.asOf } : null;
  } catch (error) {
    reportError(error);
    return null;
  }
}
