import { FEWEST_NEAR, isNearMiss, shapesOf } from "@mechanon/core";
import { QueryTypes, type Sequelize } from "sequelize";

/** How well a kept word fits that is just the typed one; others fit less. */
export const WHOLE_WORD = 40;
const FITS = { whole: WHOLE_WORD, beginning: 30, part: 20, near: 10 } as const;
const FEWEST_FOR_PARTS = 3;
const MOST_BEGINNINGS = 60;
const MOST_PARTS = 60;
const MOST_NEAR = 40;

export interface FittingWord {
  word: string;
  fit: number;
}

/** Kept words that a typed one may mean: itself, longer ones, ones that contain it, near misses. Best first. */
export async function findWords(db: Sequelize, businessId: string, typed: string): Promise<FittingWord[]> {
  const parts =
    typed.length >= FEWEST_FOR_PARTS
      ? `union all (select word, 'part' from search_words where business_id = $1 and word like $4 limit ${MOST_PARTS})`
      : "";
  const near =
    typed.length >= FEWEST_NEAR
      ? "union all (select word, 'near' from search_word_shapes where business_id = $1 and shape = any($5))"
      : "";
  const rows = await db.query<{ word: string; way: keyof typeof FITS }>(
    `(select word, 'whole' as way from search_words where business_id = $1 and word = $2)
     union all (select word, 'beginning' from search_words
       where business_id = $1 and word > $2 and word < $3 order by word limit ${MOST_BEGINNINGS}) ${parts} ${near}`,
    {
      bind: [
        businessId,
        typed,
        `${typed}\u{10FFFF}`,
        ...(parts === "" ? [] : [`%${typed.replace(/[\\%_]/g, "\\$&")}%`]),
        ...(near === "" ? [] : [shapesOf(typed)]),
      ],
      type: QueryTypes.SELECT,
    },
  );
  const fits = new Map<string, number>();
  let nearCount = 0;
  for (const { word, way } of rows) {
    if (fits.has(word)) continue;
    if (way === "near" && (nearCount >= MOST_NEAR || !isNearMiss(typed, word))) continue;
    if (way === "near") nearCount += 1;
    fits.set(word, FITS[way]);
  }
  return [...fits].map(([word, fit]) => ({ word, fit }));
}
