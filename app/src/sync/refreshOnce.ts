import type { KnownChange } from "./showsChange";

/** Changes that come together are one reason to look again. */
const TOGETHER_MS = 150;
const MOST_REMEMBERED = 200;

/**
 * Looks again at the lists once for each change, whoever tells of it: an own command is told by its answer and, a moment
 * later or before, by the stream of what others hear.
 */
export class RefreshOnce {
  private readonly told = new Set<string>();
  private together: KnownChange[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** @param refresh - given the changes that came together. */
  constructor(private readonly refresh: (changes: readonly KnownChange[]) => void) {}

  /** @returns false when it was told before. */
  tell(change: KnownChange): boolean {
    const { id, revision } = change;
    const key = `${id}/${revision}`;
    if (revision > 0 && this.told.has(key)) return false;
    this.told.add(key);
    const [oldest] = this.told;
    if (this.told.size > MOST_REMEMBERED && oldest !== undefined) this.told.delete(oldest);
    this.together.push(change);
    this.timer ??= setTimeout(() => {
      const changes = this.together;
      this.together = [];
      this.timer = undefined;
      this.refresh(changes);
    }, TOGETHER_MS);
    return true;
  }

  stop(): void {
    clearTimeout(this.timer);
  }
}
