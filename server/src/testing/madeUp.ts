/** A repeatable source of chance: the same seed gives the same people. @see Mulberry32 */
export class Chance {
  constructor(private state: number) {}

  /** 0 up to before 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  }

  below(count: number): number {
    return Math.floor(this.next() * count);
  }

  pick<T>(values: readonly T[]): T {
    const value = values[this.below(values.length)];
    if (value === undefined) throw new Error("nothing to pick from");
    return value;
  }

  /** The first ones often, the last ones seldom, as names are spread. */
  pickCommon<T>(values: readonly T[]): T {
    const value = values[Math.floor(values.length * this.next() ** 2.2)];
    if (value === undefined) throw new Error("nothing to pick from");
    return value;
  }
}

const STARTS = ["Ba", "Bre", "Ca", "Cor", "Da", "Del", "El", "Fa", "Fen", "Ga", "Gri", "Ha", "Hol", "Il", "Ja", "Jor", "Ka", "Kes", "La", "Lor", "Ma", "Mer", "Na", "Nol", "O", "Pa", "Per", "Qui", "Ra", "Ros", "Sa", "Sol", "Ta", "Tor", "Ul", "Va", "Ver", "Wa", "Wen", "Ya", "Zel"]; // prettier-ignore
const MIDDLES = ["ba", "chi", "da", "del", "fi", "gan", "ha", "ki", "la", "len", "li", "ma", "min", "na", "nor", "pa", "ra", "ri", "ron", "sa", "sha", "ta", "ti", "vo", "wi", "za"]; // prettier-ignore
const ENDS = ["bert", "by", "dan", "der", "field", "ford", "gard", "ham", "ko", "land", "lin", "low", "man", "mund", "na", "ner", "quist", "ra", "sen", "ski", "son", "stad", "ter", "ton", "vich", "well", "wick", "ya"]; // prettier-ignore
const STREET_ENDS = ["Road", "Street", "Lane", "Way", "Court", "Avenue", "Hill", "Bend"];

/** Names nobody has, each once, in an order of chance. */
export function madeUpNames(chance: Chance, count: number): string[] {
  const names = new Set<string>();
  while (names.size < count)
    names.add(chance.pick(STARTS) + (chance.next() < 0.6 ? chance.pick(MIDDLES) : "") + chance.pick(ENDS));
  return [...names];
}

export function madeUpStreets(chance: Chance, count: number): string[] {
  return madeUpNames(chance, count).map((name) => `${name} ${chance.pick(STREET_ENDS)}`);
}
