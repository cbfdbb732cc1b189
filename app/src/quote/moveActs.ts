/** Where an item goes by one step: before which other; null: at the end. */
export interface Move {
  beforeId: string | null;
}

/** A step up and a step down of an item in its list; null where it is at the end of it already. */
export function moveActs(items: readonly { id: string }[], id: string): { up: Move | null; down: Move | null } {
  const at = items.findIndex((item) => item.id === id);
  if (at < 0) return { up: null, down: null };
  const isLast = at === items.length - 1;
  return {
    up: at === 0 ? null : { beforeId: items[at - 1]?.id ?? null },
    down: isLast ? null : { beforeId: items[at + 2]?.id ?? null },
  };
}
