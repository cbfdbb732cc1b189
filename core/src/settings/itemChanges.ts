import { dequal } from "dequal";
import { z } from "zod";

/** One item of a list as somebody changed it: from nothing it is new, to nothing it is taken out. */
export interface ItemChange<Item> {
  from: Item | null;
  to: Item | null;
}

/** Tells an item from the others of its list. */
export type KeyOf<Item> = (item: Item) => string;

/** @returns what most items are found by. */
export const idOf: KeyOf<{ id: string }> = ({ id }) => id;
/** @returns what an item is found by that has no id. */
export const nameOf: KeyOf<{ name: string }> = ({ name }) => name;

/** @returns the one key of what is changed whole: a short list of words, for one. */
export const wholeOf: KeyOf<unknown> = () => "whole";

/**
 * Changes of a list as they travel: each of one item, each item at most once.
 *
 * @param most - how many items the list may hold.
 */
export function itemChanges<Item>(
  item: z.ZodType<Item>,
  keyOf: KeyOf<Item>,
  most: number,
): z.ZodType<ItemChange<Item>[]> {
  const keysOf = ({ from, to }: ItemChange<Item>): string[] =>
    [from, to].flatMap((each) => (each ? [keyOf(each)] : []));
  const change = z
    .strictObject({ from: item.nullable(), to: item.nullable() })
    .refine((each) => new Set(keysOf(each)).size === 1, "is no change of one item");
  return z
    .array(change)
    .max(2 * most, `at most ${2 * most} changes at once`)
    .refine((changes) => new Set(changes.flatMap(keysOf)).size === changes.length, "two changes are of the same item");
}

/**
 * What was changed of a list, item by item; another order alone is no change.
 *
 * @param base - the list as it was.
 * @example changesOfList([{ id: "a" }], [{ id: "b" }], idOf) //=> [{ from: { id: "a" }, to: null }, { from: null, to: { id: "b" } }]
 */
export function changesOfList<Item>(
  base: readonly Item[],
  mine: readonly Item[],
  keyOf: KeyOf<Item>,
): ItemChange<Item>[] {
  const before = new Map(base.map((item) => [keyOf(item), item]));
  const after = new Map(mine.map((item) => [keyOf(item), item]));
  const gone = base.filter((item) => !after.has(keyOf(item))).map((from) => ({ from, to: null }));
  const put = mine.flatMap((to) => {
    const from = before.get(keyOf(to)) ?? null;
    return dequal(from, to) ? [] : [{ from, to }];
  });
  return [...gone, ...put];
}

/**
 * A list with the changes made: changed items where they stood, new ones at the end.
 *
 * @param isSame - whether the changes were made from this very list; else each item must be as it was then, or as it is
 *   to be.
 * @returns null where somebody else changed one of the items to something else meanwhile.
 * @example withChanges([{ id: "a" }], [{ from: null, to: { id: "b" } }], idOf, false) //=> [{ id: "a" }, { id: "b" }]
 */
export function withChanges<Item>(
  list: readonly Item[],
  changes: readonly ItemChange<Item>[],
  keyOf: KeyOf<Item>,
  isSame: boolean,
): Item[] | null {
  const items = new Map(list.map((item) => [keyOf(item), item]));
  for (const { from, to } of changes) {
    const changed = from ?? to;
    if (changed === null) continue;
    const key = keyOf(changed);
    const now = items.get(key) ?? null;
    if (!isSame && !dequal(now, from) && !dequal(now, to)) return null;
    if (to === null) items.delete(key);
    else items.set(key, to);
  }
  return [...items.values()];
}
