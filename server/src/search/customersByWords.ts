import type { Sequelize } from "sequelize";
import { byAllWords } from "./byAllWords";
import { byOneWord } from "./byOneWord";
import { findWords } from "./findWords";

/** Customers who have a fitting word for every typed one, with what that is worth. */
export async function customersByWords(
  db: Sequelize,
  businessId: string,
  typed: string[],
): Promise<[string, number][]> {
  if (typed.length === 0) return [];
  const fitting = await findWords(db, businessId, typed);
  if (fitting.some((words) => words.length === 0)) return [];
  const [first = []] = fitting;
  const rows =
    fitting.length === 1 ? await byOneWord(db, businessId, first) : await byAllWords(db, businessId, fitting);
  return rows.map(({ customer_id: id, score }) => [id, score / fitting.length]);
}
