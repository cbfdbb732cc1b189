export interface Answer {
  status: number;
  body: object;
}

/** One that was given up before it was heard of; whoever still sends it is told so. */
const WITHDRAWN: Answer = { status: 410, body: { withdrawn: true } };

/** Remembers answers by key, as a service does that must not do a thing twice, and can be asked what became of it. */
export class Answers {
  private readonly kept = new Map<string, Answer>();

  once(key: string | undefined, make: () => Answer): Answer {
    const known = key === undefined ? undefined : this.kept.get(key);
    if (known) return known;
    const answer = make();
    if (key !== undefined) this.kept.set(key, answer);
    return answer;
  }

  /** What became of a thing; one never heard of is not done any more, should it arrive after all. */
  settle(key: string): Answer {
    return this.once(key, () => WITHDRAWN);
  }
}
