import type { Sequelize } from "sequelize";
import { byAllWords } from "./byAllWords";
import { byOneWord } from "./byOneWord";
import { findWords, MOST_COUNTED, type FittingWord } from "./findWords";
import type { Scored } from "./scored";

/** Customers who have a fitting word for every typed one, with what that is worth. */
export async function customersByWords(
  db: Sequelize,
  businessId: string,
  typed: string[],
): Promise<[string, number][]> {
  if (typed.length === 0) return [];
  const fitting = await findWords(db, businessId, typed);
  if (fitting.some((words) => words.length === 0)) return [];
  const likely = fitting.map((words, token) => withoutUnlikelySlips(typed[token] ?? "", words));
  const isLessThanAll = likely.some((words, token) => words.length < (fitting[token]?.length ?? 0));
  let rows = await byWords(db, businessId, likely);
  if (rows.length === 0 && isLessThanAll) rows = await byWords(db, businessId, fitting);
  return rows.map(({ customer_id: id, score }) => [id, score / fitting.length]);
}

function byWords(db: Sequelize, businessId: string, fitting: FittingWord[][]): Promise<Scored[]> {
  const [first = []] = fitting;
  return fitting.length === 1 ? byOneWord(db, businessId, first) : byAllWords(db, businessId, fitting);
}

/** What more have is no slip of something rarer. */
const MOST_OF_A_SLIP = 1000;

/**
 * What thousands have is rarely a slip of something rarer, nor is something rare a slip of what thousands have, or one
 * number of another: looked through only when nobody is found otherwise, since it is those that take time.
 */
function withoutUnlikelySlips(typed: string, words: FittingWord[]): FittingWord[] {
  const others = words.filter(({ way }) => way !== "near");
  if (others.length === 0) return words;
  if (/^\d+$/.test(typed) || others.some(({ way, customers }) => way === "whole" && customers > MOST_COUNTED))
    return others;
  return words.filter(({ way, customers }) => way !== "near" || customers <= MOST_OF_A_SLIP);
}
