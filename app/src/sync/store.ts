import { createStore, del, entries, get, set as keep } from "idb-keyval";
import { v7 as uuid } from "uuid";
import { create } from "zustand";
import type { ClientWorkOrderCommand, VisitCommand } from "@mechanon/core";
import { routes, type CommandOutcome, type WorkOrderChange, type WorkOrderView } from "@mechanon/contract";
import { call, sendPhoto } from "../api/call";
import { ApiProblem, errorWords } from "../api/problem";
import { mergeChange, withVisit } from "./mergeChange";
import {
  nextBatch,
  retryDelayMs,
  settle,
  upgradePending,
  type Pending,
  type PendingPhoto,
  type Refused,
} from "./queue";
import type { Changed } from "./refreshOnce";

interface SyncState {
  /** Whose work is sent from this device now. */
  personId: string | null;
  /** The server's copies, by work order. */
  views: Record<string, WorkOrderView>;
  pending: Pending[];
  photos: PendingPhoto[];
  refused: Refused[];
  /** What the server does not take at all, in its words; the person says what becomes of it. */
  stuck: string | null;
  /** What it is about: work orders and visits whose commands wait, while others go out. */
  held: ReadonlySet<string>;
  online: boolean;
  sending: boolean;
  failures: number;
}

const NOTHING_HELD: ReadonlySet<string> = new Set();

export const useSync = create<SyncState>()(() => ({
  personId: null,
  views: {},
  pending: [],
  photos: [],
  refused: [],
  stuck: null,
  held: NOTHING_HELD,
  online: true,
  sending: false,
  failures: 0,
}));

const QUEUE_KEY = "pending";
const hasDatabase = typeof indexedDB !== "undefined";
const queueStore = hasDatabase ? createStore("mechanon-queue", "queue") : undefined;
const photoStore = hasDatabase ? createStore("mechanon-photos", "photos") : undefined;
let timer: ReturnType<typeof setTimeout> | undefined;
let onChanged: (changed: Changed) => void = () => undefined;

/** Loads what was left unsent when the app was last open, and goes on sending. */
export async function resumeSync(personId: string, changed: (changed: Changed) => void): Promise<void> {
  onChanged = changed;
  useSync.setState({ personId, stuck: null, held: NOTHING_HELD, failures: 0 });
  if (queueStore && photoStore) {
    const kept = await get<Pending[]>(QUEUE_KEY, queueStore);
    const photos = await entries<string, Blob>(photoStore);
    const { pending } = useSync.getState();
    useSync.setState({
      pending: [...upgradePending(kept ?? []).filter(({ id }) => !pending.some((item) => item.id === id)), ...pending],
      photos: photos.map(([id, blob]) => ({ id, blob })),
    });
  }
  void flush();
}

/** Gives a command to a work order: it shows at once, and goes to the server when it can. */
export function sendCommand(workOrderId: string, command: ClientWorkOrderCommand): void {
  enqueue({
    by: useSync.getState().personId ?? "",
    kind: "workOrder",
    id: uuid(),
    at: new Date().toISOString(),
    target: workOrderId,
    command,
  });
}

/** Gives a command to a visit of a work order. */
export function sendVisitCommand(visitId: string, workOrderId: string, command: VisitCommand): void {
  enqueue({
    by: useSync.getState().personId ?? "",
    kind: "visit",
    id: uuid(),
    at: new Date().toISOString(),
    target: visitId,
    workOrderId,
    command,
  });
}

/** Keeps a photo and attaches it to an inspection point. */
export async function attachPhoto(workOrderId: string, pointId: string, blob: Blob): Promise<void> {
  const id = uuid();
  useSync.setState((state) => ({ photos: [...state.photos, { id, blob }] }));
  if (photoStore) await keep(id, blob, photoStore);
  sendCommand(workOrderId, { type: "attachPhoto", pointId, photoId: id });
}

/** Loads a work order from the server. @throws what `call` throws. */
export async function loadWorkOrder(id: string): Promise<void> {
  keepView(await call(routes.getWorkOrder, { params: { id } }));
}

export function keepView(view: WorkOrderView): void {
  useSync.setState((state) => ({ views: withView(state.views, view) }));
}

/** Takes in what commands changed, which the server answered; what was changed elsewhere too is loaded whole. */
export async function keepChange(change: WorkOrderChange | null): Promise<void> {
  const view = await viewAfter(change);
  if (view) keepView(view);
}

/** @returns null when nothing changed. @throws what `call` throws. */
async function viewAfter(change: WorkOrderChange | null): Promise<WorkOrderView | null> {
  if (!change) return null;
  const merged = mergeChange(useSync.getState().views[change.id], change);
  return merged ?? call(routes.getWorkOrder, { params: { id: change.id } });
}

/** Answers may arrive out of order: an older copy never replaces a newer one. */
function withView(views: SyncState["views"], view: WorkOrderView): SyncState["views"] {
  const known = views[view.state.id];
  return known && known.revision > view.revision ? views : { ...views, [view.state.id]: view };
}

export function dismissRefusal(id: string): void {
  useSync.setState((state) => ({ refused: state.refused.filter((refusal) => refusal.id !== id) }));
}

/** Books or moves a visit although the mechanic is busy then; the refusal is dealt with. */
export function overlapAnyway({ id, item }: Refused): void {
  dismissRefusal(id);
  if (item.kind !== "visit" || (item.command.type !== "bookVisit" && item.command.type !== "moveVisit")) return;
  sendVisitCommand(item.target, item.workOrderId, { ...item.command, allowOverlap: true });
}

/** Drops what a former person of this device had loaded; what is unsent stays. */
export function forgetViews(): void {
  useSync.setState({ views: {} });
}

/** Sends now instead of waiting for the next try. */
export function retryNow(): void {
  clearTimeout(timer);
  useSync.setState({ stuck: null, held: NOTHING_HELD, failures: 0 });
  void flush();
}

function enqueue(item: Pending): void {
  useSync.setState((state) => ({ pending: [...state.pending, item] }));
  void persist();
  void flush();
}

async function persist(): Promise<void> {
  if (queueStore) await keep(QUEUE_KEY, useSync.getState().pending, queueStore);
}

/** The next commands that can go out. @param resting - targets the server failed on in this round. */
function nextToSend(resting: ReadonlySet<string> = NOTHING_HELD): Pending[] {
  const { pending, personId, held } = useSync.getState();
  return nextBatch(pending, personId, new Set([...held, ...resting]));
}

async function flush(): Promise<void> {
  if (useSync.getState().sending) return;
  useSync.setState({ sending: true });
  clearTimeout(timer);
  const resting = new Set<string>();
  try {
    await sendPhotos();
    for (let batch = nextToSend(resting); batch.length > 0; batch = nextToSend(resting))
      await sendOrHold(batch, resting);
    useSync.setState({ online: true });
    if (resting.size > 0) tryLater();
    else useSync.setState({ failures: 0 });
  } catch (error) {
    failed(error);
  } finally {
    useSync.setState({ sending: false });
  }
  if (useSync.getState().failures === 0 && nextToSend().length > 0) void flush();
}

/**
 * Sends commands of one target. Where the server takes none of them, or fails on them, those of other targets go out
 * all the same.
 */
async function sendOrHold(batch: Pending[], resting: Set<string>): Promise<void> {
  const target = batch[0]?.target ?? "";
  try {
    await sendBatch(batch);
  } catch (error) {
    if (!(error instanceof ApiProblem) || CONCERNS_ALL.includes(error.problem.status)) throw error;
    if (error.problem.status >= 500) resting.add(target);
    // The server will say the same again: wait for the person instead.
    else useSync.setState(({ held }) => ({ stuck: errorWords(error), held: new Set([...held, target]) }));
  }
}

/** Nobody is signed in, too much at once, nobody answers: the same for whatever is sent. */
const CONCERNS_ALL = [401, 429, 503];

async function sendPhotos(): Promise<void> {
  for (const { id, blob } of useSync.getState().photos) {
    try {
      await sendPhoto(id, blob);
    } catch (error) {
      // A file that is no picture never will be one: it is dropped, and the person is told.
      if (!(error instanceof ApiProblem) || error.problem.status === 401 || error.problem.status >= 500) throw error;
      useSync.setState({ stuck: errorWords(error) });
    }
    if (photoStore) await del(id, photoStore);
    useSync.setState((state) => ({ photos: state.photos.filter((photo) => photo.id !== id) }));
  }
}

async function sendBatch(batch: Pending[]): Promise<void> {
  const [first] = batch;
  if (!first) return;
  if (first.kind === "workOrder") {
    const commands = batch.flatMap((item) =>
      item.kind === "workOrder" ? [{ id: item.id, at: item.at, command: item.command }] : [],
    );
    const answer = await call(routes.sendWorkOrderCommands, { params: { id: first.target }, body: { commands } });
    finish(answer.outcomes, await viewAfter(answer.change));
    if (answer.change) onChanged(answer.change);
  } else {
    const commands = batch.flatMap((item) =>
      item.kind === "visit" ? [{ id: item.id, at: item.at, command: item.command }] : [],
    );
    const answer = await call(routes.sendVisitCommands, { params: { id: first.target }, body: { commands } });
    const { visit, revision } = answer;
    // "On my way" leaves a text on the work order, which only the server can show.
    const isTold = batch.some(({ command }) => command.type === "setOff");
    const known = useSync.getState().views[first.workOrderId];
    if (isTold) finish(answer.outcomes, await call(routes.getWorkOrder, { params: { id: first.workOrderId } }));
    else finish(answer.outcomes, known && visit ? withVisit(known, visit) : null);
    if (visit) onChanged({ id: visit.id, revision });
  }
  await persist();
}

/** One step of the store, so that no frame shows a command twice or not at all. */
function finish(outcomes: CommandOutcome[], view: WorkOrderView | null): void {
  useSync.setState((state) => {
    const settled = settle(state.pending, outcomes);
    return {
      pending: settled.pending,
      refused: [...state.refused, ...settled.refused],
      views: view ? withView(state.views, view) : state.views,
    };
  });
}

function failed(error: unknown): void {
  if (error instanceof ApiProblem && error.problem.status === 401) {
    // Nothing goes out until somebody signs in again, which begins anew.
    const { failures } = useSync.getState();
    useSync.setState({ stuck: errorWords(error), failures: failures + 1 });
    return;
  }
  useSync.setState({ online: false });
  tryLater();
}

function tryLater(): void {
  const failures = useSync.getState().failures + 1;
  useSync.setState({ failures });
  timer = setTimeout(() => void flush(), retryDelayMs(failures));
}

/** Gives up the oldest unsent change; the person asked for it. */
export async function dropPending(): Promise<void> {
  useSync.setState(({ pending, personId, held }) => {
    const mine = pending.filter(({ by }) => by === personId);
    const oldest = mine.find(({ target }) => held.has(target)) ?? mine[0];
    return { pending: pending.filter((item) => item !== oldest), stuck: null, held: NOTHING_HELD };
  });
  await persist();
  void flush();
}
