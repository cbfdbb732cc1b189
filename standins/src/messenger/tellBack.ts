import { setTimeout } from "node:timers/promises";

const TRIES = 20;
const PAUSE_MS = 1500;

/** Tells a business what became of a message, or a reply, until it hears it. @returns Whether it did. */
export async function tellBack(callback: string, secret: string, news: object): Promise<boolean> {
  for (let tries = 0; tries < TRIES; tries += 1) {
    const status = await tell(callback, secret, news);
    // What it does not take now it will not take later.
    if (status !== null && status < 500) return status < 300;
    await setTimeout(PAUSE_MS, undefined, { ref: false });
  }
  return false;
}

/** @returns null when nobody answers. */
async function tell(callback: string, secret: string, news: object): Promise<number | null> {
  try {
    const response = await fetch(callback, {
      method: "POST",
      headers: { "Content-Type": "application/json", Authorization: `Bearer ${secret}` },
      body: JSON.stringify(news),
    });
    return response.status;
  } catch {
    return null;
  }
}
