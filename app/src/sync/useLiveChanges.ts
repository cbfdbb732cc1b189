import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { changeEvent, type ChangeEvent, type WorkOrderView } from "@mechanon/contract";
import { RefreshOnce } from "./refreshOnce";
import { loadWorkOrder, resumeSync, retryNow, useSync } from "./store";

/** Keeps this device in step: resumes what is unsent, and hears of what others change. */
export function useLiveChanges(personId: string | null): void {
  const queries = useQueryClient();
  useEffect(() => {
    if (personId === null || typeof EventSource === "undefined") return;
    const refreshLists = (): void =>
      void Promise.all(
        ["day", "openWork", "search", "customer"].map((key) => queries.invalidateQueries({ queryKey: [key] })),
      );
    const lists = new RefreshOnce(refreshLists);
    void resumeSync(personId, (changed) => lists.tell(changed));
    const source = new EventSource("/api/events");
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const change = changeEvent.safeParse(JSON.parse(data));
      if (!change.success) return;
      const isNews = lists.tell(change.data);
      const { views, pending } = useSync.getState();
      // What was done here comes back with its answer; only what others did has to be fetched.
      if (pending.length > 0) return;
      for (const id of staleBy(change.data, isNews, views)) void loadWorkOrder(id).catch(() => undefined);
    };
    const wake = (): void => retryNow();
    window.addEventListener("online", wake);
    return () => {
      source.close();
      lists.stop();
      window.removeEventListener("online", wake);
    };
  }, [personId, queries]);
}

/** The work orders on this device that a change made older than the server's. */
function staleBy(
  { kind, id, revision, workOrderIds = [] }: ChangeEvent,
  isNews: boolean,
  views: Readonly<Record<string, WorkOrderView>>,
): string[] {
  if (kind === "visit") return isNews ? workOrderIds.filter((served) => views[served]) : [];
  const known = views[id];
  return known && (revision === 0 || revision > known.revision) ? [id] : [];
}
