import { ApiProblem, errorWords } from "../api/problem";
import { concernsAll } from "./concernsAll";
import { changeLine, readLine, wholeLine } from "./line";
import { nextBatch } from "./nextBatch";
import type { Pending, Refusal } from "./pending";
import { sendPhotos } from "./photos";
import type { KnownChange } from "./showsChange";
import { retryDelayMs } from "./retryDelay";
import { sendActs, type Sent } from "./sendActs";
import type { KeptRecord } from "./sendKeptChange";
import { useSync } from "./state";
import { alone } from "./tabs";
import { storeView, withRecord, withView } from "./views";

/** Until a person does something about it, nothing goes out: signs in again, opens the newer version. */
const HALTS = ["session/missing", "session/of-another", "app/outdated"];

let timer: ReturnType<typeof setTimeout> | undefined;
let isWanted = false;
let running: Promise<void> | null = null;
let onChanged: (changed: KnownChange) => void = () => undefined;

let onRecord: (record: KeptRecord) => void = () => undefined;

/**
 * @param changed - told of what was sent from here, for the lists that show it.
 * @param record - told how a customer or car is now, before what was done to it leaves the line.
 */
export function tellChanges(changed: typeof onChanged, record: typeof onRecord): void {
  onChanged = changed;
  onRecord = record;
}

/** Sends now instead of waiting for the next try. */
export function retryNow(): void {
  clearTimeout(timer);
  useSync.setState({ halted: null, failures: 0 });
  void flush();
}

/** Ends the wait for the next try. */
export function stopSending(): void {
  clearTimeout(timer);
  isWanted = false;
}

/**
 * Sends what waits, unless another tab does; what comes in meanwhile goes out, too.
 * @returns when all was tried.
 */
export function flush(): Promise<void> {
  isWanted = true;
  const { personId, sending } = useSync.getState();
  if (running || sending || personId === null) return running ?? Promise.resolve();
  running = run(personId).finally(() => {
    running = null;
    // Somebody else signed in meanwhile: what is theirs goes now.
    if (isWanted) void flush();
  });
  return running;
}

async function run(personId: string): Promise<void> {
  useSync.setState({ sending: true });
  clearTimeout(timer);
  try {
    await alone(`mechanon-send-${personId}`, async () => {
      while (isWanted && isStill(personId)) {
        isWanted = false;
        await readLine();
        await sendAll(personId);
      }
    });
  } finally {
    useSync.setState({ sending: false });
  }
}

/** Whether this page is still of whoever it was when sending began. */
function isStill(personId: string): boolean {
  return useSync.getState().personId === personId;
}

async function sendAll(personId: string): Promise<void> {
  const resting = new Set<string>();
  try {
    for (
      let batch = nextBatch(wholeLine(), resting);
      batch.length > 0 && isStill(personId);
      batch = nextBatch(wholeLine(), resting)
    )
      await sendOrRest(personId, batch, resting);
    if (!isStill(personId)) return;
    const isWhole = await sendPhotos(personId);
    useSync.setState({ online: true, halted: null });
    if (resting.size > 0 || !isWhole) tryLater();
    else useSync.setState({ failures: 0 });
  } catch (error) {
    if (isStill(personId)) failed(error);
  }
}

/**
 * Sends acts of one thing. Where the server takes none of them they are refused, where it fails on them they rest; those
 * of other things go out all the same.
 */
async function sendOrRest(personId: string, batch: readonly Pending[], resting: Set<string>): Promise<void> {
  try {
    const sent = await sendActs(batch);
    // What came back is of who left: it stays in their database, and the same is answered when it is sent again.
    if (isStill(personId)) await settle(batch, sent);
  } catch (error) {
    if (!(error instanceof ApiProblem) || concernsAll(error)) throw error;
    const { status, code } = error.problem;
    if (status >= 500) resting.add(batch[0]?.target ?? "");
    // It will say the same again: the person says what becomes of it.
    else await refuse(batch, { code, words: errorWords(error) });
  }
}

function refuse(batch: readonly Pending[], refusal: Refusal): Promise<void> {
  const ids = new Set(batch.map(({ id }) => id));
  return changeLine((item) => (ids.has(item.id) ? { ...item, refusal } : item));
}

/** Takes out of the line what was done, and marks what was refused; in one turn with the copy, so that no frame shows an act twice. */
async function settle(batch: readonly Pending[], { outcomes, view, changed, instead, record }: Sent): Promise<void> {
  const asOf = new Date().toISOString();
  if (view) await storeView(view, asOf);
  if (view) useSync.setState((state) => withView(state, view, asOf));
  if (record) {
    useSync.setState(({ views }) => ({ views: withRecord(views, record) }));
    onRecord(record);
  }
  await changeLine((item) => {
    const refusal = outcomes.get(item.id);
    if (refusal === null) return null;
    const now = instead ? renamed(item, instead.id, instead.is) : item;
    return refusal === undefined ? now : { ...now, refusal };
  });
  if (changed) onChanged(changed);
  // A customer or car: what was made or became another's shows in lists and sheets.
  else if (batch.some(({ kind }) => kind !== "workOrder" && kind !== "visit"))
    onChanged({ id: batch[0]?.target ?? "", revision: 0 });
}

/** An act on a thing that turned out to be kept under another id. */
function renamed(item: Pending, id: string, is: string): Pending {
  const text = JSON.stringify(item);
  return text.includes(id) ? (JSON.parse(text.replaceAll(id, is)) as Pending) : item;
}

function failed(error: unknown): void {
  if (error instanceof ApiProblem && HALTS.includes(error.problem.code)) {
    // What was asked for while this was on its way would be told the same.
    isWanted = false;
    useSync.setState(({ failures }) => ({ halted: errorWords(error), failures: failures + 1 }));
    return;
  }
  if (error instanceof ApiProblem && error.problem.code === "app/ahead")
    useSync.setState({ halted: errorWords(error) });
  else useSync.setState({ online: false });
  tryLater();
}

function tryLater(): void {
  const failures = useSync.getState().failures + 1;
  useSync.setState({ failures });
  timer = setTimeout(() => void flush(), retryDelayMs(failures, Math.random()));
}
