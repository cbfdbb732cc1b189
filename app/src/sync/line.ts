import { device } from "../device/device";
import type { Pending } from "./pending";
import { useSync } from "./state";
import { tellTabs } from "./tabs";

/** Done here and not seen in the database yet: shown and sent all the same. */
const unkept = new Map<string, Pending>();
/** Of those, the ones the database has taken. */
const taken = new Set<string>();
/** Counts what happens to the line, so that what was read before it is read anew. */
let turn = 0;

/** Shows nothing of whoever leaves; what no database has taken stays theirs for as long as the page is open. */
export function emptyLine(): void {
  turn += 1;
  for (const id of taken) unkept.delete(id);
  taken.clear();
  show([]);
}

/** Reads what is in line, the other tabs' acts included. */
export async function readLine(): Promise<void> {
  // What the database took before it is asked is in its answer, or was sent meanwhile.
  const seen = [...taken];
  const began = turn;
  const { personId } = useSync.getState();
  const rows = (await device()?.outbox.orderBy("seq").toArray()) ?? [];
  if (turn !== began) return readLine();
  for (const id of seen) {
    unkept.delete(id);
    taken.delete(id);
  }
  const known = new Set(rows.map(({ id }) => id));
  show([...rows, ...[...unkept.values()].filter(({ id, by }) => by === personId && !known.has(id))]);
}

/** Everything in line, oldest first, what was refused included. */
export function wholeLine(): Pending[] {
  const { pending, refused } = useSync.getState();
  return [...pending, ...refused].sort((a, b) => (a.seq ?? Infinity) - (b.seq ?? Infinity));
}

/**
 * Puts acts in line, all or none of them: they show at once, and are kept as soon as the device has written them down.
 */
export async function putInLine(given: readonly Pending[]): Promise<void> {
  const line = new Set(wholeLine().map(({ id }) => id));
  // Given again after the page was killed in between: it is in line already.
  const items = given.filter(({ id }) => !line.has(id));
  turn += 1;
  for (const item of items) unkept.set(item.id, item);
  show([...wholeLine(), ...items]);
  const database = device();
  if (!database) return;
  try {
    await database.outbox.bulkAdd([...items]);
    turn += 1;
    for (const { id } of items) taken.add(id);
    if (useSync.getState().keeping === "full") useSync.setState({ keeping: "kept" });
    tellTabs({ kind: "line" });
  } catch (error) {
    // No room: it is sent from this page, which must stay open until then, and says so.
    reportError(error);
    useSync.setState({ keeping: "full" });
  }
}

/** Changes acts in line, wherever they are: `null` takes one out. */
export async function changeLine(change: (item: Pending) => Pending | null): Promise<void> {
  turn += 1;
  for (const [id, item] of unkept) {
    const after = change(item);
    if (after) unkept.set(id, after);
    else unkept.delete(id);
  }
  show(
    wholeLine()
      .map(change)
      .filter((item) => item !== null),
  );
  const database = device();
  if (!database) return;
  await database.transaction("rw", database.outbox, async () => {
    for (const item of await database.outbox.toArray()) {
      const after = change(item);
      if (after === item || item.seq === undefined) continue;
      if (after) await database.outbox.put({ ...after, seq: item.seq });
      else await database.outbox.delete(item.seq);
    }
  });
  turn += 1;
  tellTabs({ kind: "line" });
}

function show(line: readonly Pending[]): void {
  useSync.setState({
    pending: line.filter(({ refusal }) => refusal === undefined),
    refused: line.filter(({ refusal }) => refusal !== undefined),
  });
}
