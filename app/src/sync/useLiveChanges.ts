import { useQueryClient, type Query, type QueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import {
  changeEvent,
  type BusinessView,
  type ChangeEvent,
  type CustomerSheetView,
  type VehicleSheetView,
  type WorkOrderView,
} from "@mechanon/contract";
import { RefreshOnce } from "./refreshOnce";
import { loadWorkOrder } from "./views";
import { useTakeAlong } from "./useTakeAlong";
import { resumeSync } from "./resume";
import { retryNow } from "./sender";
import type { Pending } from "./pending";
import type { KeptRecord } from "./sendKeptChange";
import { showsChange, type KnownChange } from "./showsChange";
import { useSync } from "./state";

/** Asks again what may show changes otherwise; an answer that is on its way already would tell of before. */
async function askAnew(queries: QueryClient, changes: readonly KnownChange[]): Promise<void> {
  const zone = queries.getQueryData<BusinessView>(["business"])?.timeZone ?? "utc";
  const predicate = ({ queryKey, state: { data } }: Query): boolean =>
    changes.some((change) => showsChange(change, queryKey, data, zone));
  await queries.cancelQueries({ predicate }, { silent: true });
  await queries.invalidateQueries({ predicate });
}

/** A customer or car as the server keeps it now, on its sheet. */
function showRecord(queries: QueryClient, { customer, vehicle, carSheet }: KeptRecord): void {
  if (customer)
    queries.setQueryData<CustomerSheetView>(["customer", customer.id], (sheet) => sheet && { ...sheet, customer });
  if (vehicle) queries.setQueryData<VehicleSheetView>(["car", vehicle.id], (sheet) => sheet && { ...sheet, vehicle });
  if (carSheet) queries.setQueryData<VehicleSheetView>(["car", carSheet.vehicle.id], carSheet);
}

/** Keeps this device in step: resumes what is unsent, and hears of what others change. */
export function useLiveChanges(personId: string | null): void {
  const queries = useQueryClient();
  const somethingNew = useTakeAlong(personId);
  const shownTo = useRef<string | null>(null);
  useEffect(() => {
    if (personId === null || typeof EventSource === "undefined") return;
    // What was shown to whoever had this page before is not theirs.
    if (shownTo.current !== null && shownTo.current !== personId)
      queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== "me" });
    shownTo.current = personId;
    const lists = new RefreshOnce((changes) => void askAnew(queries, changes));
    const source = new EventSource("/api/events");
    void resumeSync(
      personId,
      (changed) => {
        // What the stream tells of says more; where nothing listens, this is all there is.
        if (changed.revision === 0 || source.readyState !== EventSource.OPEN) lists.tell(changed);
      },
      (record) => showRecord(queries, record),
    );
    let wasAway = false;
    source.onerror = () => {
      wasAway = true;
    };
    source.onopen = () => {
      // It was away: what it missed comes by the revisions of what it has; what no revision tells is asked for anew.
      if (wasAway) {
        somethingNew();
        for (const name of ["requests", "openMessages", "workOrder"])
          void queries.invalidateQueries({ queryKey: [name] });
      }
      wasAway = false;
    };
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const change = changeEvent.safeParse(JSON.parse(data));
      if (!change.success) return;
      const isNews = lists.tell(change.data);
      if (isNews && change.data.kind === "visit") somethingNew();
      const { views, pending } = useSync.getState();
      // What was done here comes back with its answer; only what others did has to be fetched.
      const own = ownOf(pending);
      for (const id of staleBy(change.data, isNews, views))
        if (!own.has(id)) void loadWorkOrder(id).catch(() => undefined);
        // A message that what was done here set going comes with no answer.
        else if (change.data.revision === 0) onceSent(id, () => void loadWorkOrder(id).catch(() => undefined));
    };
    const wake = (): void => retryNow();
    window.addEventListener("online", wake);
    return () => {
      source.close();
      lists.stop();
      window.removeEventListener("online", wake);
    };
  }, [personId, queries, somethingNew]);
}

/** The work orders something is on its way to from here. */
function ownOf(pending: readonly Pending[]): Set<string | null> {
  return new Set(pending.map((item) => (item.kind === "visit" ? item.workOrderId : item.target)));
}

/** Does something once nothing is on its way to a work order any more. */
function onceSent(id: string, done: () => void): void {
  const stop = useSync.subscribe(({ pending }) => {
    if (ownOf(pending).has(id)) return;
    stop();
    done();
  });
}

/** The work orders on this device that a change made older than the server's. */
function staleBy(
  { kind, id, revision, workOrderIds = [] }: ChangeEvent,
  isNews: boolean,
  views: Readonly<Record<string, WorkOrderView>>,
): string[] {
  if (kind === "request" || kind === "message") return [];
  if (kind === "visit") return isNews ? workOrderIds.filter((served) => views[served]) : [];
  const known = views[id];
  return known && (revision === 0 || revision > known.revision) ? [id] : [];
}
