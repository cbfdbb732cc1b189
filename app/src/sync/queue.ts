import {
  Refusal,
  applyCommand,
  applyVisitCommand,
  clientWorkOrderCommand,
  upgradeCommand,
  type Actor,
  type BusinessSettings,
  type ClientWorkOrderCommand,
  type LibraryJob,
  type RefusalCode,
  type VisitCommand,
  type VisitState,
  type WorkOrderState,
} from "@mechanon/core";
import type { CommandOutcome, WorkOrderView } from "@mechanon/contract";

/** A command given on this device and not yet answered by the server. */
export type Pending = { /** Who gave it; nobody else sends it. */ by: string } & (
  | { kind: "workOrder"; id: string; at: string; target: string; command: ClientWorkOrderCommand }
  | { kind: "visit"; id: string; at: string; target: string; workOrderId: string; command: VisitCommand }
);

/** What was queued by yesterday's app, as it is queued now. */
export function upgradePending(kept: readonly Pending[]): Pending[] {
  return kept.map((item) => {
    if (item.kind !== "workOrder") return item;
    // What is no command any more goes as it is: the server says so to the person who gave it.
    const read = clientWorkOrderCommand.safeParse(upgradeCommand(item.command));
    return read.success ? { ...item, command: read.data } : item;
  });
}

/** A photo taken on this device whose bytes are not yet at the server. */
export interface PendingPhoto {
  id: string;
  blob: Blob;
}

/** What commands are applied with on the device. */
export interface LocalContext {
  actor: Actor;
  settings: BusinessSettings;
  library: readonly LibraryJob[];
}

/** What was refused, for the person who did it. */
export interface Refused {
  id: string;
  target: string;
  code: RefusalCode;
  /** The command itself, so that it can be given again on purpose. */
  item: Pending;
}

/**
 * A work order as the device shows it: the server's copy with everything pending applied. A pending command that no
 * longer fits is left out here; the server's answer to it tells the person.
 */
export function withPending(view: WorkOrderView, pending: readonly Pending[], context: LocalContext): WorkOrderView {
  let state: WorkOrderState = view.state;
  let visits: VisitState[] = view.visits;
  for (const item of pending) {
    if (item.kind === "workOrder" && item.target === view.state.id) {
      state = orSame(state, () =>
        applyCommand(state, item.command, {
          aggregateId: item.target,
          commandId: item.id,
          at: item.at,
          actor: context.actor,
          settings: context.settings,
          library: context.library,
          taxExempt: state.taxExempt,
          unclearChargeCents: unclearCharges(view.requests),
        }),
      );
    }
    if (item.kind === "visit" && item.workOrderId === view.state.id) {
      const before = visits.find(({ id }) => id === item.target) ?? null;
      const after = orSame(before, () =>
        applyVisitCommand(before, item.command, { aggregateId: item.target, at: item.at }),
      );
      visits = [...visits.filter(({ id }) => id !== item.target), ...(after ? [after] : [])].sort((a, b) =>
        a.startsAt < b.startsAt ? -1 : 1,
      );
    }
  }
  return { ...view, state, visits };
}

/** What the terminal was asked to charge and has not said whether it did, in cents. */
function unclearCharges(requests: WorkOrderView["requests"]): number {
  return requests.reduce(
    (sum, { kind, status, amountCents }) =>
      kind === "cardCharge" && status === "asked" ? sum + (amountCents ?? 0) : sum,
    0,
  );
}

/**
 * The next commands of a person to send together: their oldest and those behind it for the same target.
 *
 * @param held - targets the server does not take anything for just now; theirs wait, and visits of a work order with it.
 */
export function nextBatch(
  all: readonly Pending[],
  by: string | null,
  held: ReadonlySet<string> = new Set(),
  most = 50,
): Pending[] {
  const isHeld = (item: Pending): boolean =>
    held.has(item.target) || (item.kind === "visit" && held.has(item.workOrderId));
  const pending = all.filter((item) => item.by === by && !isHeld(item));
  const [first] = pending;
  if (!first) return [];
  const batch: Pending[] = [];
  for (const item of pending) {
    if (item.kind !== first.kind || item.target !== first.target || batch.length >= most) break;
    batch.push(item);
  }
  return batch;
}

/** What is left to send after the server answered, and what it refused. */
export function settle(
  pending: readonly Pending[],
  outcomes: readonly CommandOutcome[],
): { pending: Pending[]; refused: Refused[] } {
  const answered = new Map(outcomes.map((outcome) => [outcome.id, outcome]));
  const refused = pending.flatMap((item): Refused[] => {
    const outcome = answered.get(item.id);
    return outcome?.outcome === "refused" && outcome.refusal
      ? [
          {
            id: item.id,
            target: item.kind === "visit" ? item.workOrderId : item.target,
            code: outcome.refusal,
            item,
          },
        ]
      : [];
  });
  return { pending: pending.filter(({ id }) => !answered.has(id)), refused };
}

/** Milliseconds until sending is tried again; longer each time, up to half a minute. */
export function retryDelayMs(failures: number): number {
  return Math.min(30_000, 1000 * 2 ** Math.max(0, failures - 1));
}

function orSame<T>(before: T, change: () => T): T {
  try {
    return change();
  } catch (error) {
    if (error instanceof Refusal) return before;
    throw error;
  }
}
