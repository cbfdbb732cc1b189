import { useSyncExternalStore } from "react";

const TICK_MS = 30_000;

/** One clock for all that shows how long ago something was: a list of a thousand has no thousand timers. */
const listeners = new Set<() => void>();
let now = new Date().toISOString();
let timer: ReturnType<typeof setInterval> | undefined;

function listen(listener: () => void): () => void {
  listeners.add(listener);
  timer ??= setInterval(() => {
    now = new Date().toISOString();
    for (const each of listeners) each();
  }, TICK_MS);
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    clearInterval(timer);
    timer = undefined;
  };
}

function read(): string {
  // While nobody looked the clock stood still.
  if (timer === undefined && Date.now() - Date.parse(now) > TICK_MS) now = new Date().toISOString();
  return now;
}

/** Now, as an ISO instant, moving on by itself every half minute. */
export function useNow(): string {
  return useSyncExternalStore(listen, read, read);
}
