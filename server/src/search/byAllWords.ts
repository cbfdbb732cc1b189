import { QueryTypes, type Sequelize } from "sequelize";
import { MOST_COUNTED, type FittingWord } from "./findWords";
import { FIELD_WEIGHT, MOST_CUSTOMERS, type Scored } from "./scored";

/** Reading an entry of a word takes a fraction of looking through the words of a customer: measured, 0.35 and 3 to 11 µs. */
const READS_PER_LOOK = 16;
/** So many customers of a typed word are read; one with more is looked for, unless it is the rarest. */
const MOST_READ = 25_000;
/** The best so many of those read are looked through: of them, many have a word that is too frequent to be read. */
const MOST_LOOKED_THROUGH = 800;
/** So few words are looked for one by one; of more, all words of a customer are read and compared. */
const MOST_ONE_BY_ONE = 6;

/**
 * The customers who have a fitting word for every typed one, best first. A first name or a town alone leads to
 * thousands, so the rarer words are read and compared, and the most frequent looked for among what is left.
 */
export function byAllWords(db: Sequelize, businessId: string, fitting: FittingWord[][]): Promise<Scored[]> {
  const [read, looked] = readOrLooked(fitting);
  const values: unknown[] = [businessId];
  const bound = (value: unknown): string => `$${values.push(value)}`;
  const table = (words: FittingWord[]): string =>
    `unnest(${bound(words.map(({ word }) => word))}::text[], ${bound(words.map(({ fit }) => fit))}::int[]) as fitting(word, fit)`;
  // The inner queries are fenced, or the planner reads all customers of a frequent word to look for a few.
  const readEach = read.map(
    (words, index) =>
      `(select customer_id, fit - field * ${FIELD_WEIGHT} as score from ${table(words)} cross join lateral (
         select customer_id, field from customer_words where business_id = $1 and word = fitting.word offset 0) own
         limit ${MOST_READ}) read${index}`,
  );
  const lookedEach = looked.map(
    (words, index) =>
      `cross join lateral (select fit - field * ${FIELD_WEIGHT} as score from (
         select word, field from customer_words
         where business_id = $1 and customer_id = candidates.customer_id
           ${words.length > MOST_ONE_BY_ONE ? "" : `and word = any(${bound(words.map(({ word }) => word))}::text[])`} offset 0) own
       join ${table(words)} using (word)) looked${index}`,
  );
  const best = (name: string) => (_: unknown, index: number) => `max(${name}${index}.score)`;
  return db.query<Scored>(
    `with candidates as materialized (
       select customer_id, ${read.map(best("read")).join(" + ")} as score
       from ${readEach.map((each, index) => (index === 0 ? each : `join ${each} using (customer_id)`)).join(" ")}
       group by 1 order by 2 desc, 1 desc limit ${looked.length === 0 ? MOST_CUSTOMERS : MOST_LOOKED_THROUGH})
     select candidates.customer_id, (${["max(candidates.score)", ...looked.map(best("looked"))].join(" + ")})::int as score
     from candidates ${lookedEach.join(" ")}
     group by 1 order by 2 desc, 1 desc limit ${MOST_CUSTOMERS}`,
    { bind: values, type: QueryTypes.SELECT },
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
