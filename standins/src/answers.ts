interface Answer {
  status: number;
  body: unknown;
}

/** Remembers answers by key, as a service does that must not do a thing twice. */
export class Answers {
  private readonly kept = new Map<string, Answer>();

  once(key: string | undefined, make: () => Answer): Answer {
    const known = key === undefined ? undefined : this.kept.get(key);
    if (known) return known;
    const answer = make();
    if (key !== undefined) this.kept.set(key, answer);
    return answer;
  }
}
