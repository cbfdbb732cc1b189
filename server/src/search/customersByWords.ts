import type { Sequelize } from "sequelize";
import { byAllWords } from "./byAllWords";
import { byOneWord } from "./byOneWord";
import { findWords, type FittingWord } from "./findWords";
import { likelyWords, wordsAsTyped } from "./likelyWords";
import { MOST_CUSTOMERS, type Scored } from "./scored";

/**
 * Customers who have a fitting word for every typed one, with what that is worth. What has the words as they were typed
 * comes before all else; what may be meant otherwise is looked through when that does not fill the list, and what is
 * hardly meant when nobody is found at all.
 */
export async function customersByWords(
  db: Sequelize,
  businessId: string,
  typed: string[],
): Promise<[string, number][]> {
  if (typed.length === 0) return [];
  return ofFitting(db, businessId, typed, await findWords(db, businessId, typed));
}

/** What was found without the words that fit nobody together with the others. */
export interface FoundWithout {
  customers: [string, number][];
  oddWords: string[];
}

/**
 * Customers who have all typed words but one, or but those that nobody has at all: of what was typed together, one word
 * may be heard wrong or be another's.
 */
export async function customersByOtherWords(
  db: Sequelize,
  businessId: string,
  typed: readonly string[],
): Promise<FoundWithout> {
  const nobody: FoundWithout = { customers: [], oddWords: [] };
  if (typed.length < 2) return nobody;
  const fitting = await findWords(db, businessId, [...typed]);
  const places = typed.map((_, place) => place);
  const known = places.filter((place) => fitting[place]?.length !== 0);
  // Words that nobody has are the odd ones; where all are somebody's, each of them may be.
  const kept = known.length < typed.length ? [known] : places.map((odd) => places.filter((place) => place !== odd));
  let best = nobody;
  for (const those of kept) {
    if (those.length === 0) continue;
    const customers = await ofFitting(
      db,
      businessId,
      those.map((place) => typed[place] ?? ""),
      those.map((place) => fitting[place] ?? []),
    );
    const oddWords = typed.filter((_, place) => !those.includes(place));
    if ((customers[0]?.[1] ?? 0) > (best.customers[0]?.[1] ?? 0)) best = { customers, oddWords };
  }
  return best;
}

async function ofFitting(
  db: Sequelize,
  businessId: string,
  typed: readonly string[],
  fitting: FittingWord[][],
): Promise<[string, number][]> {
  let rows: Scored[] = [];
  let lookedThrough = 0;
  for (const { words, isEnough } of [
    { words: fitting.map(wordsAsTyped), isEnough: (found: number) => found === MOST_CUSTOMERS },
    {
      words: fitting.map((each, token) => likelyWords(typed[token] ?? "", each)),
      isEnough: (found: number) => found > 0,
    },
    { words: fitting, isEnough: () => true },
  ]) {
    const size = words.reduce((sum, each) => sum + each.length, 0);
    if (size === lookedThrough || words.some((each) => each.length === 0)) continue;
    lookedThrough = size;
    rows = await byWords(db, businessId, words);
    if (isEnough(rows.length)) break;
  }
  return rows.map(({ customer_id: id, score }) => [id, score / fitting.length]);
}

function byWords(db: Sequelize, businessId: string, fitting: FittingWord[][]): Promise<Scored[]> {
  const [first = []] = fitting;
  return fitting.length === 1 ? byOneWord(db, businessId, first) : byAllWords(db, businessId, fitting);
}
