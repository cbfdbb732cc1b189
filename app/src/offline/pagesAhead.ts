import { ctx } from "expo-router/_ctx";
import { knowAllCountries } from "@mechanon/core";

/** Browsers without a word for "when idle" wait this long. */
const SOON_MS = 1_000;

const idle = (): Promise<void> =>
  new Promise((resolve) => {
    if (typeof requestIdleCallback === "function") requestIdleCallback(() => resolve());
    else setTimeout(resolve, SOON_MS);
  });

let begun = false;

/**
 * Loads the phones of other countries and the app's other pages, one by one when there is nothing else to do, so that each opens at once, without a signal,
 * too. One that does not come is asked for again when it is opened.
 */
export async function loadPagesAhead(): Promise<void> {
  if (begun) return;
  begun = true;
  await idle();
  await knowAllCountries().catch(() => undefined);
  for (const page of ctx.keys()) {
    await idle();
    await Promise.resolve(ctx(page)).catch(() => undefined);
  }
}
