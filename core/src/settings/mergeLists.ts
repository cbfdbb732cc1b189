import { dequal } from "dequal";

/**
 * Two people's changes of one list, brought together: what others added, changed or took out since both began stands,
 * except where one's own change of the same item is newer.
 *
 * @param base - the list both began from.
 * @returns Others' order, what one added oneself at the end.
 */
export function mergeLists<Item extends { id: string }>(
  mine: readonly Item[],
  base: readonly Item[],
  theirs: readonly Item[],
): Item[] {
  const byId = (list: readonly Item[]): Map<string, Item> => new Map(list.map((item) => [item.id, item]));
  const [own, before, other] = [byId(mine), byId(base), byId(theirs)];
  const isOwnChange = (item: Item): boolean => !dequal(item, before.get(item.id));
  const kept = theirs.flatMap((item) => {
    const ours = own.get(item.id);
    // Taken out by oneself, and not changed by others since.
    if (!ours) return before.has(item.id) && dequal(item, before.get(item.id)) ? [] : [item];
    return [isOwnChange(ours) ? ours : item];
  });
  const added = mine.filter((item) => !other.has(item.id) && isOwnChange(item));
  return [...kept, ...added];
}
