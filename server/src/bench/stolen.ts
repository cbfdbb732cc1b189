import { readFileSync } from "node:fs";

/** Ticks of all processors since the machine started; what a host gave to other machines meanwhile is stolen. */
export interface Ticks {
  all: number;
  stolen: number;
}

/** Reads the first line of Linux's /proc/stat: user, nice, system, idle, iowait, irq, softirq, steal. @see proc(5) */
export function readTicks(stat = readFileSync("/proc/stat", "utf8")): Ticks {
  const ticks = (stat.split("\n")[0] ?? "").split(/\s+/).slice(1, 9).map(Number);
  return { all: ticks.reduce((sum, each) => sum + each, 0), stolen: ticks[7] ?? 0 };
}

/** How much of the processors' time between two readings others had, in percent: the noise of a measurement. */
export function stolenPercent(before: Ticks, after: Ticks): number {
  const all = after.all - before.all;
  return all === 0 ? 0 : Math.round((100 * (after.stolen - before.stolen)) / all);
}
