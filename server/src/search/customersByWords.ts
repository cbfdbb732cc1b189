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
  const fitting = await findWords(db, businessId, typed);
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
