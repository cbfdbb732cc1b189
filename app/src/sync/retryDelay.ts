const FIRST_MS = 1000;
const LONGEST_MS = 30_000;

/**
 * Milliseconds until sending is tried again: longer each time, up to half a minute, and not for all devices at once.
 * @param chance - from 0 to 1; half of the wait is left to it.
 */
export function retryDelayMs(failures: number, chance: number): number {
  const most = Math.min(LONGEST_MS, FIRST_MS * 2 ** Math.max(0, failures - 1));
  return most / 2 + (most / 2) * chance;
}
