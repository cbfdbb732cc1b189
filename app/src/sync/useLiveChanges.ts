import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { changeEvent } from "@mechanon/contract";
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
      const { views, pending } = useSync.getState();
      const known = change.data.kind === "workOrder" ? views[change.data.id] : undefined;
      // Our own command comes back with its answer; only what others did has to be fetched.
      if (known && pending.length === 0 && (change.data.revision === 0 || change.data.revision > known.revision))
        void loadWorkOrder(change.data.id).catch(() => undefined);
      lists.tell(change.data);
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
