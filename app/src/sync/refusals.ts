import { v7 as uuid } from "uuid";
import { changeLine, wholeLine } from "./line";
import { makes, namedBy, type Pending } from "./pending";
import { flush } from "./sender";

/** Gives what was refused again, as it is or as another; it is an act of its own. */
export async function tryAgain(refused: Pending, change: (item: Pending) => Pending = (item) => item): Promise<void> {
  await changeLine((item) => {
    if (item.id !== refused.id) return item;
    const { refusal: _settled, ...rest } = item;
    // Under its old id the server would only repeat what it said.
    return { ...change(rest), id: uuid() };
  });
  await flush();
}

/**
 * Changes a customer or a car that was taken down here, whether it waits or was refused: it goes as it is now.
 * @returns false where the server has it: there it is to be changed.
 */
export async function changeMade(target: string, change: (made: Pending) => Pending): Promise<boolean> {
  const made = wholeLine().find(
    (item) => item.target === target && (item.kind === "customer" || item.kind === "vehicle") && !item.refusal?.isDone,
  );
  if (made) await tryAgain(made, change);
  return made !== undefined;
}

/** Books or moves a visit although the mechanic is busy then. */
export function overlapAnyway(refused: Pending): Promise<void> {
  return tryAgain(refused, (item) =>
    item.kind === "visit" && (item.command.type === "bookVisit" || item.command.type === "moveVisit")
      ? { ...item, command: { ...item.command, allowOverlap: true } }
      : item,
  );
}

/** What goes with it when something refused is let go: all that needs what it should have made. */
export function hangingOn(refused: Pending): Pending[] {
  if (!makes(refused) || refused.refusal?.isDone) return [];
  const gone = new Set([refused.target]);
  return wholeLine().filter((item) => {
    const hangs = item.id !== refused.id && [item.target, ...namedBy(item)].some((id) => gone.has(id));
    if (hangs && makes(item)) gone.add(item.target);
    return hangs;
  });
}

/** Lets go of what was refused, and of what hangs on it; the person asked for it. */
export async function letGo(refused: Pending): Promise<void> {
  const gone = new Set([refused, ...hangingOn(refused)].map(({ id }) => id));
  await changeLine((item) => (gone.has(item.id) ? null : item));
  await flush();
}
