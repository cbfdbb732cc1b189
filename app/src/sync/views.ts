import { upgradeVisit, upgradeWorkOrder, type VisitState } from "@mechanon/core";
import { routes, workOrderView, type WorkOrderChange, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { device } from "../device/device";
import type { KeptView } from "../device/deviceDatabase";
import { mergeChange, withVisit } from "./mergeChange";
import type { KeptRecord } from "./sendKeptChange";
import { useSync } from "./state";
import { tellTabs } from "./tabs";

/** However much comes meanwhile, it is not asked for ever. */
const MOST_ASKED = 4;

/** Loads a work order from the server. @throws what `call` throws. */
export async function loadWorkOrder(id: string): Promise<WorkOrderView> {
  for (let times = 1; ; times++) {
    const askedAt = new Date().toISOString();
    const view = await call(routes.getWorkOrder, { params: { id } });
    if (isOvertaken(view, askedAt) && times < MOST_ASKED) continue;
    keepView(view, askedAt);
    return view;
  }
}

/**
 * Asks the server to do something, and keeps the work order it answers with.
 * @throws what `ask` throws.
 */
export async function keepAnswered<T extends { workOrder: WorkOrderView }>(ask: () => Promise<T>): Promise<T> {
  const askedAt = new Date().toISOString();
  const answer = await ask();
  const { workOrder } = answer;
  const keep = (): void => keepView(workOrder, new Date().toISOString());
  if (isOvertaken(workOrder, askedAt)) await loadWorkOrder(workOrder.state.id).then(() => undefined, keep);
  else keep();
  return answer;
}

/** Something came while it was on its way: which of the two tells of later, only asking again tells. */
function isOvertaken({ revision, state: { id } }: WorkOrderView, askedAt: string): boolean {
  const { views, asOf } = useSync.getState();
  return views[id]?.revision === revision && (asOf[id] ?? "") > askedAt;
}

/** Shows the copy this device keeps, while the server is asked or cannot be. @returns whether there is one. */
export async function showKept(id: string): Promise<boolean> {
  if (useSync.getState().views[id]) return true;
  const database = device();
  const kept = await database?.views.get(id);
  const view = kept && readKept(kept);
  if (!database || !view) return false;
  useSync.setState((state) => withView(state, view, kept.asOf));
  await database.views.update(id, { usedAt: new Date().toISOString() });
  return true;
}

/** A copy as today's app shows it, whichever version kept it. @returns null for one that reads no more. */
function readKept({ view }: KeptView): WorkOrderView | null {
  // What is stored is of whatever version wrote it.
  const stored = {
    ...view,
    state: upgradeWorkOrder(view.state),
    visits: view.visits.map((visit) => upgradeVisit(visit)),
  };
  return workOrderView.safeParse(stored).data ?? null;
}

/**
 * Keeps a work order as the server has it.
 * @param asOf - when it was asked for: an answer that was long on its way tells of before what came meanwhile.
 */
function keepView(view: WorkOrderView, asOf: string): void {
  useSync.setState((state) => withView(state, view, asOf));
  void storeView(view, asOf);
}

/** Keeps a work order that nobody asked to see: what is shown becomes it, what is not stays out of memory. */
export async function takeIn(view: WorkOrderView, asOf: string): Promise<void> {
  if (useSync.getState().views[view.state.id]) keepView(view, asOf);
  else await storeView(view, asOf);
}

/**
 * A work order with what commands changed of it, as the server answered; loaded whole where others changed it, too.
 * @returns null when nothing changed. @throws what `call` throws.
 */
export async function viewAfter(change: WorkOrderChange | null): Promise<WorkOrderView | null> {
  if (!change) return null;
  await showKept(change.id);
  const merged = mergeChange(useSync.getState().views[change.id], change);
  return merged ?? call(routes.getWorkOrder, { params: { id: change.id } });
}

/** A work order this device knows, with a visit of its own as the server has it now. */
export function knownWithVisit(workOrderId: string, visit: VisitState): WorkOrderView | null {
  const known = useSync.getState().views[workOrderId];
  return known ? withVisit(known, visit) : null;
}

type Views = Pick<ReturnType<typeof useSync.getState>, "views" | "asOf">;

/** Answers may arrive out of order: an older copy never replaces a newer one. Its visits change without its revision. */
export function withView({ views, asOf }: Views, view: WorkOrderView, at: string): Views {
  const { id } = view.state;
  const known = views[id];
  if (known && isOlder(view, at, known, asOf[id] ?? "")) return { views, asOf };
  return { views: { ...views, [id]: view }, asOf: { ...asOf, [id]: at } };
}

function isOlder(view: WorkOrderView, at: string, known: WorkOrderView, knownAt: string): boolean {
  return known.revision > view.revision || (known.revision === view.revision && knownAt > at);
}

/** Work orders with a customer or car as the server keeps it now. */
export function withRecord(views: Views["views"], { customer, vehicle }: KeptRecord): Views["views"] {
  const changed = Object.values(views).flatMap((view) => {
    const isTheirs = customer !== undefined && view.customer?.id === customer.id;
    const isOfIt = vehicle !== undefined && view.vehicle?.id === vehicle.id;
    if (!isTheirs && !isOfIt) return [];
    return [{ ...view, ...(isTheirs ? { customer } : {}), ...(isOfIt ? { vehicle } : {}) }];
  });
  return { ...views, ...Object.fromEntries(changed.map((view) => [view.state.id, view])) };
}

/** Writes a copy down for when there is no signal; without room it is only shown. */
export async function storeView(view: WorkOrderView, asOf: string): Promise<void> {
  const database = device();
  if (!database) return;
  const { id } = view.state;
  try {
    await database.transaction("rw", database.views, async () => {
      const known = await database.views.get(id);
      if (known && isOlder(view, asOf, known.view, known.asOf)) return;
      await database.views.put({ id, view, asOf, usedAt: new Date().toISOString() });
    });
    tellTabs({ kind: "view", id });
  } catch (error) {
    reportError(error);
  }
}

/** Takes in what another tab wrote down. */
export async function readView(id: string): Promise<void> {
  if (!useSync.getState().views[id]) return;
  const kept = await device()?.views.get(id);
  const view = kept && readKept(kept);
  if (view) useSync.setState((state) => withView(state, view, kept.asOf));
}

/** Drops what a former person of this device had loaded; what is unsent stays. */
export function forgetViews(): void {
  useSync.setState({ views: {}, asOf: {} });
}
