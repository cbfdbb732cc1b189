import { dequal } from "dequal";
import { changesOfList, type KeyOf } from "./itemChanges";

/**
 * Two people's changes of one list, brought together: what others added, changed or took out since both began stands,
 * except where one's own change of the same item is newer. What one took out and others changed stays.
 *
 * @param base - the list both began from.
 * @returns Others' order, what one added oneself at the end.
 */
export function mergeLists<Item>(
  mine: readonly Item[],
  base: readonly Item[],
  theirs: readonly Item[],
  keyOf: KeyOf<Item>,
): Item[] {
  const merged = new Map(theirs.map((item) => [keyOf(item), item]));
  for (const { from, to } of changesOfList(base, mine, keyOf)) {
    if (to) merged.set(keyOf(to), to);
    else if (from && dequal(merged.get(keyOf(from)), from)) merged.delete(keyOf(from));
  }
  return [...merged.values()];
}
