/** A list with one more, before another or at the end. */
export function inserted<Item extends { id: string }>(
  items: readonly Item[],
  item: Item,
  beforeId: string | null,
): Item[] {
  const at = items.findIndex(({ id }) => id === beforeId);
  return at < 0 ? [...items, item] : [...items.slice(0, at), item, ...items.slice(at)];
}
