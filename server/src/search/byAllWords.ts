import { WORD_FIELDS } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { MOST_COUNTED, type FittingWord } from "./findWords";
import { FIELD_WEIGHT, MOST_CUSTOMERS, type Scored } from "./scored";

/** Reading an entry of a word takes a fraction of looking through the words of a customer: measured, 0.35 and 3 to 11 µs. */
const READS_PER_LOOK = 16;
/** So many customers of a typed word are read; one with more is looked for, unless it is the rarest. */
const MOST_READ = 25_000;
/** The best so many of those read are looked through: of them, many have a word that is too frequent to be read. */
const MOST_LOOKED_THROUGH = 800;
/** Enough of them to choose the best from; looking ends there. */
const ENOUGH = 3 * MOST_CUSTOMERS;
/** So few words are looked for one by one; of more, all words of a customer are read and compared. */
const MOST_ONE_BY_ONE = 6;
const IN_NAME = WORD_FIELDS.indexOf("name");

/**
 * The customers who have a fitting word for every typed one, best first. A first name or a town alone leads to
 * thousands, so the rarer words are read and compared, and the most frequent looked for among what is left: first with
 * those who have it in their name, however frequent it is as a make or a town.
 */
export function byAllWords(db: Sequelize, businessId: string, fitting: FittingWord[][]): Promise<Scored[]> {
  const [read, looked] = readOrLooked(fitting);
  const values: unknown[] = [businessId];
  const bound = (value: unknown): string => `$${values.push(value)}`;
  const table = (words: FittingWord[]): string =>
    `unnest(${bound(words.map(({ word }) => word))}::text[], ${bound(words.map(({ fit }) => fit))}::int[]) as fitting(word, fit)`;
  const score = `fit - field * ${FIELD_WEIGHT}`;
  const own = "customer_words where business_id = $1";
  // The inner queries are fenced, or the planner reads all customers of a frequent word to look for a few.
  const readEach = read.map(
    (words, index) =>
      `(select customer_id, ${score} as score from ${table(words)} cross join lateral (
         select customer_id, field from ${own} and word = fitting.word offset 0) own limit ${MOST_READ}) read${index}`,
  );
  const found = readEach.map((each, index) => (index === 0 ? each : `join ${each} using (customer_id)`)).join(" ");
  const sum = read.map((_, index) => `read${index}.score`).join(" + ");
  if (looked.length === 0)
    return askPrepared<Scored>(
      db,
      `select customer_id, max(${sum}) as score from ${found} group by 1 order by 2 desc, 1 desc limit ${MOST_CUSTOMERS}`,
      values,
    );
  const lookedEach = looked.map((words, index) => {
    const ofCandidate = `${own} and customer_id = candidates.customer_id`;
    const each =
      words.length > MOST_ONE_BY_ONE
        ? `(select word, field from ${ofCandidate} offset 0) own join ${table(words)} using (word)`
        : `${table(words)} cross join lateral (select field from ${ofCandidate} and word = fitting.word offset 0) own`;
    return `cross join lateral (select max(${score}) as score from ${each}) looked${index}`;
  });
  const isFound = looked.map((_, index) => `looked${index}.score is not null`).join(" and ");
  const lookedSum = looked.map((_, index) => `looked${index}.score`).join(" + ");
  const lookedWords = bound(looked.flatMap((words) => words.map(({ word }) => word)));
  return askPrepared<Scored>(
    db,
    `with named as (
       select distinct customer_id from (
         select customer_id from ${own} and field = ${IN_NAME} and word = any(${lookedWords}::text[])
         limit ${MOST_READ}) entries),
     candidates as materialized (
       select customer_id, ${sum} as score from ${found} left join named using (customer_id)
       order by (named.customer_id is null), 2 desc, 1 desc limit ${MOST_LOOKED_THROUGH})
     select customer_id, max(score) as score from (
       select customer_id, candidates.score + ${lookedSum} as score from candidates ${lookedEach.join(" ")}
       where ${isFound} limit ${ENOUGH}) enough
     group by 1 order by 2 desc, 1 desc limit ${MOST_CUSTOMERS}`,
    values,
  );
}

/** The typed words whose customers are read, the rarest first, and those looked for among them. */
function readOrLooked(fitting: FittingWord[][]): [read: FittingWord[][], looked: FittingWord[][]] {
  const counted = fitting
    .map((words) => ({
      words,
      count: words.reduce((sum, { customers }) => sum + customers, 0),
      isCounted: words.every(({ customers }) => customers <= MOST_COUNTED),
    }))
    .sort((a, b) => a.count - b.count);
  const mostRead = Math.min(MOST_READ, Math.max(counted[0]?.count ?? 0, 1) * READS_PER_LOOK);
  const isRead = ({ count, isCounted }: (typeof counted)[number], place: number): boolean =>
    place === 0 || (isCounted && count <= mostRead);
  return [
    counted.filter((each, place) => isRead(each, place)).map(({ words }) => words),
    counted.filter((each, place) => !isRead(each, place)).map(({ words }) => words),
  ];
}
