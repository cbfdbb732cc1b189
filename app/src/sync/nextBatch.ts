import { makes, namedBy, type Pending } from "./pending";

const MOST_AT_ONCE = 50;

/**
 * The next acts to send together: the oldest that waits for nothing, and those behind it for the same thing.
 *
 * An act waits for what is older and about the same thing, and for what makes what it names; a refused one is waited
 * for only where it should have made something.
 *
 * @param line - everything that is not at the server, oldest first, what was refused included.
 * @param resting - what it is about that the server failed on just now.
 */
export function nextBatch(
  line: readonly Pending[],
  resting: ReadonlySet<string> = new Set(),
  most = MOST_AT_ONCE,
): Pending[] {
  const unmade = new Set<string>();
  const ahead = new Set<string>();
  const batch: Pending[] = [];
  for (const item of line.filter(({ refusal }) => !refusal?.isDone)) {
    const [first] = batch;
    const isNext = !first || (first.kind === item.kind && first.target === item.target && isCommand(item));
    const isFree =
      !item.refusal &&
      !resting.has(item.target) &&
      !aboutOf(item).some((id) => ahead.has(id)) &&
      ![item.target, ...namedBy(item)].some((id) => unmade.has(id));
    if (isFree && isNext && batch.length < most) {
      batch.push(item);
      continue;
    }
    // What makes its target is waited for even by those who only name it.
    if (makes(item)) unmade.add(item.target);
    if (!item.refusal) for (const id of aboutOf(item)) ahead.add(id);
  }
  return batch;
}

/** What it changes: of what is older about the same, it goes behind. */
function aboutOf(item: Pending): string[] {
  return item.kind === "merge" ? [item.target, item.mergedId] : [item.target];
}

/** Commands of one thing go out together; everything else is asked for by itself. */
function isCommand({ kind }: Pending): boolean {
  return kind === "workOrder" || kind === "visit";
}
