import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo } from "react";
import { ApiProblem, Unreachable } from "../api/problem";
import { takeAlong } from "../device/takeAlong";

/** So often a phone looks whether the day is another. */
const EVERY_MS = 10 * 60_000;
/** Changes that come together are one reason to look. */
const TOGETHER_MS = 5_000;

/**
 * Takes the day along by itself: at once, every ten minutes, and when it is told to.
 * @returns tells that something of the day changed.
 */
export function useTakeAlong(personId: string | null): () => void {
  const queries = useQueryClient();
  const asked = useMemo(() => new AskedSoon(() => void takenAlong(queries)), [queries]);
  useEffect(() => {
    if (personId === null) return;
    void takenAlong(queries);
    const timer = setInterval(() => void takenAlong(queries), EVERY_MS);
    return () => {
      clearInterval(timer);
      asked.stop();
    };
  }, [personId, queries, asked]);
  return asked.soon;
}

async function takenAlong(queries: ReturnType<typeof useQueryClient>): Promise<void> {
  try {
    await takeAlong(queries);
  } catch (error) {
    // Without a signal, or signed out: what was taken along before stays, and it is tried again.
    if (!(error instanceof Unreachable) && !(error instanceof ApiProblem)) reportError(error);
  }
}

/** Does something once, a while after it was asked for however often. */
class AskedSoon {
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly act: () => void) {}

  soon = (): void => {
    this.timer ??= setTimeout(() => {
      this.timer = undefined;
      this.act();
    }, TOGETHER_MS);
  };

  stop(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
  }
}
