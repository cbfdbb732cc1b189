import { FEWEST_NEAR, isNearMiss, mayBeHeardAs, otherSpellings, shapesOf, soundKeys } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { latinOf } from "./latin";

/** How well a kept word fits a typed one: itself, a longer one, itself spelled out or short, one that contains it, one that sounds alike, a near miss. */
const FITS = { whole: 40, beginning: 30, spelling: 25, part: 20, sound: 15, near: 10 } as const;
const FEWEST_FOR_PARTS = 3;
const MOST_BEGINNINGS = 60;
const MOST_PARTS = 60;
const MOST_NEAR = 40;
const MOST_SOUNDS = 30;
/** So many words that may be near misses are held against what was typed, the shortest first. */
const MOST_NEAR_READ = 100;
/** A near miss is two plain edits away at most: letters that are swapped, or one that moves the rest along. */
const MOST_EDITS = 2;
/** A typed word's own customers are counted up to one more than this. */
export const MOST_COUNTED = 12_000;
/** What is not among the most frequent words is not counted, either: there are hundreds of them, with few customers each. */
const TAKEN_FOR = 20;
/**
 * How many entries the most frequent words have, as PostgreSQL's own statistics say: counting those of a town would
 * take longer than all else. Estimates of all businesses together, so a word may be taken for more frequent than it is.
 */
const FREQUENT = "select word, customers from frequent_words()";

export interface FittingWord {
  word: string;
  way: keyof typeof FITS;
  fit: number;
  /** To about how many customers it leads; 0 where only one word was typed. */
  customers: number;
}

/**
 * For each typed word the kept ones that it may mean. The words come as one JSON, whose values no plan depends on: one
 * plan serves them all. Its looks are fenced by offset, or the planner reads all words for the first few alike.
 */
const FIND = `
  select token, way, word from jsonb_to_recordset($2::jsonb)
    as typed(token int, whole text, "end" text, spellings text[], part text, sounds text[], shapes text[], letters int)
  cross join lateral (
    select 'whole' as way, word from search_words where business_id = $1 and word = whole
    union all (select 'beginning', word from search_words where business_id = $1 and word > whole and word < "end"
      order by word limit ${MOST_BEGINNINGS})
    union all select 'spelling', word from search_words where business_id = $1 and word = any(spellings)
    union all (select 'part', word from (
      select word from own_search_words where business_id = $1 and word like part offset 0) with_part limit ${MOST_PARTS})
    union all (select 'sound', word from search_word_shapes
      where business_id = $1 and shape = any(sounds) and word <> whole
      group by word order by abs(length(word) - letters), word limit ${MOST_SOUNDS})
    union all (select 'near', word from search_word_shapes
      where business_id = $1 and shape = any(shapes) and not starts_with(word, whole)
        and levenshtein_less_equal(whole, left(word, letters), ${MOST_EDITS}) <= ${MOST_EDITS}
      group by word order by length(word), word limit ${MOST_NEAR_READ})) looks`;

/** With about how many customers each word leads to. */
const FIND_AND_COUNT = `
  with frequent as materialized (${FREQUENT})
  select token, way, word, coalesce(frequent.customers, case way when 'whole' then (select count(*)::int from (
    select from customer_words where business_id = $1 and word = found.word limit ${MOST_COUNTED + 1}) some_of_them)
    else ${TAKEN_FOR} end) as customers
  from (${FIND}) found left join frequent using (word)`;

/**
 * For each typed word the kept ones that it may mean, best first. In one query, since the way to the database takes
 * longer than most looks.
 */
export async function findWords(db: Sequelize, businessId: string, typed: string[]): Promise<FittingWord[][]> {
  const looked = typed.map((word, token) => ({
    token,
    whole: word,
    end: `${word}\u{10FFFF}`,
    spellings: [...otherSpellings(word), ...(latinOf(word)?.split(" ") ?? [])],
    // Nothing is like null: a short word is a part of too many.
    part: word.length < FEWEST_FOR_PARTS ? null : `%${word.replace(/[\\%_]/g, "\\$&")}%`,
    sounds: soundKeys(latinOf(word) ?? word),
    shapes: word.length < FEWEST_NEAR ? [] : shapesOf(word),
    letters: [...word].length,
  }));
  const rows = await askPrepared<{ token: number; way: keyof typeof FITS; word: string; customers?: number }>(
    db,
    typed.length === 1 ? FIND : FIND_AND_COUNT,
    [businessId, JSON.stringify(looked)],
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
  rows: readonly { way: keyof typeof FITS; word: string; customers?: number }[],
): FittingWord[] {
  const fitting = new Map<string, FittingWord>();
  let nearLeft = MOST_NEAR;
  for (const { word, way, customers = 0 } of rows) {
    if (fitting.has(word)) continue;
    if (way === "sound" && !mayBeHeardAs(latinOf(typed) ?? typed, word)) continue;
    if (way === "near" && (nearLeft === 0 || !isNearMiss(typed, word))) continue;
    if (way === "near") nearLeft -= 1;
    fitting.set(word, { word, way, fit: FITS[way], customers });
  }
  return [...fitting.values()].sort((a, b) => b.fit - a.fit);
}
