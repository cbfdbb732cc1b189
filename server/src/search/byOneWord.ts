import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { FittingWord } from "./findWords";
import { FIELD_WEIGHT, MOST_CUSTOMERS, type Scored } from "./scored";

/** Of one word's customers, the newest come into question. */
const MOST_PER_WORD = 20;

/** The customers of one typed word, best first. */
export function byOneWord(db: Sequelize, businessId: string, words: FittingWord[]): Promise<Scored[]> {
  return askPrepared<Scored>(
    db,
    `select customer_id, max(fit - field * ${FIELD_WEIGHT})::int as score
     from unnest($2::text[], $3::int[]) as fitting(word, fit)
     cross join lateral (select customer_id, field from customer_words
       where business_id = $1 and word = fitting.word order by field, customer_id desc limit ${MOST_PER_WORD}) found
     group by customer_id order by score desc, customer_id desc limit ${MOST_CUSTOMERS}`,
    [businessId, words.map(({ word }) => word), words.map(({ fit }) => fit)],
  );
}
