import type { KeyHeard } from "./useCells";

/** Which key was heard, of whatever tells of it. */
export function keyOf({ key, shiftKey, ctrlKey, metaKey, altKey }: Omit<KeyHeard, "stop">): Omit<KeyHeard, "stop"> {
  return { key, shiftKey, ctrlKey, metaKey, altKey };
}
