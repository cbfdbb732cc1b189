import { FEWEST_NEAR, isNearMiss, otherSpellings, shapesOf } from "@mechanon/core";
import { QueryTypes, type Sequelize } from "sequelize";

/** How well a kept word fits a typed one: itself, a longer one, itself spelled out or short, one that contains it, a near miss. */
const FITS = { whole: 40, beginning: 30, spelling: 25, part: 20, near: 10 } as const;
const FEWEST_FOR_PARTS = 3;
const MOST_BEGINNINGS = 60;
const MOST_PARTS = 60;
const MOST_NEAR = 40;
/** The customers of a word are counted up to one more than this: counting takes most of the time of a town's name. */
export const MOST_COUNTED = 12_000;

export interface FittingWord {
  word: string;
  fit: number;
  /** To how many customers it leads; 0 where only one word was typed, and near misses are too rare to be counted. */
  customers: number;
}

/**
 * For each typed word the kept ones that it may mean, best first. In one query, since the way to the database takes
 * longer than most looks.
 */
export async function findWords(db: Sequelize, businessId: string, typed: string[]): Promise<FittingWord[][]> {
  const values: unknown[] = [businessId];
  const bound = (value: unknown): string => `$${values.push(value)}`;
  const looks = typed.flatMap((word, token) => {
    const whole = bound(word);
    const from = (way: keyof typeof FITS, rest: string): string =>
      `(select ${token} as token, '${way}' as way, ${rest})`;
    return [
      from("whole", `word from search_words where business_id = $1 and word = ${whole}`),
      from(
        "beginning",
        `word from search_words where business_id = $1 and word > ${whole} and word < ${bound(`${word}\u{10FFFF}`)}
         order by word limit ${MOST_BEGINNINGS}`,
      ),
      ...otherSpellings(word).map((other) =>
        from("spelling", `word from search_words where business_id = $1 and word = ${bound(other)}`),
      ),
      ...(word.length < FEWEST_FOR_PARTS
        ? []
        : [
            from(
              "part",
              `word from search_words where business_id = $1 and word like ${bound(`%${word.replace(/[\\%_]/g, "\\$&")}%`)}
               limit ${MOST_PARTS}`,
            ),
          ]),
      ...(word.length < FEWEST_NEAR
        ? []
        : [
            from(
              "near",
              `word from search_word_shapes where business_id = $1 and shape = any(${bound(shapesOf(word))})`,
            ),
          ]),
    ];
  });
  const customers =
    typed.length === 1
      ? "0"
      : `case when way = 'near' then 0 else (select count(*)::int from (
           select from customer_words where business_id = $1 and word = found.word limit ${MOST_COUNTED + 1}) some_of_them) end`;
  const rows = await db.query<{ token: number; way: keyof typeof FITS; word: string; customers: number }>(
    `select token, way, word, ${customers} as customers from (${looks.join(" union all ")}) found`,
    { bind: values, type: QueryTypes.SELECT },
  );
  return typed.map((word, token) =>
    fittingWords(
      word,
      rows.filter((row) => row.token === token),
    ),
  );
}

function fittingWords(
  typed: string,
  rows: readonly { way: keyof typeof FITS; word: string; customers: number }[],
): FittingWord[] {
  const fitting = new Map<string, FittingWord>();
  // What thousands have is no slip of something rarer.
  const isCommon = rows.some(({ way, customers }) => way === "whole" && customers > MOST_COUNTED);
  let nearLeft = isCommon ? 0 : MOST_NEAR;
  for (const { word, way, customers } of rows) {
    if (fitting.has(word)) continue;
    if (way === "near" && (nearLeft === 0 || !isNearMiss(typed, word))) continue;
    if (way === "near") nearLeft -= 1;
    fitting.set(word, { word, fit: FITS[way], customers });
  }
  return [...fitting.values()].sort((a, b) => b.fit - a.fit);
}
