import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import type { Wait } from "@mechanon/core";
import { routes, type OpenWorkView, type OpenWorkGroup } from "@mechanon/contract";
import { call } from "../api/call";
import { useAnswer } from "../offline/useAnswer";
import { useNewerHere } from "../sync/useNewerHere";
import { openWorkHere } from "./openWorkHere";
import { openWorkKey, type Pages } from "./openWorkKey";

/** Everything open by what it waits for, oldest first, truly counted; more of a kind is loaded page by page. */
export function useOpenWork(): {
  /** Undefined while nothing is known; without an answer and a copy of one: those of this device alone. */
  groups: OpenWorkGroup[] | undefined;
  isAnswered: boolean;
  /** In milliseconds; 0: never. */
  answeredAt: number;
  error: unknown;
  refetch: () => void;
  more: (wait: Wait) => void;
  /** The kind whose next page is being loaded. */
  busy: Wait | null;
} {
  const queries = useQueryClient();
  const [pages, setPages] = useState<Pages>({});
  const [busy, setBusy] = useState<Wait | null>(null);
  const { data, error, refetch, isPlaceholderData, dataUpdatedAt } = useAnswer({
    key: openWorkKey(pages),
    schema: routes.openWork.answer,
    load: () => load(pages, queries),
    // What is shown stays until the next page is there.
    keepsBefore: true,
    refetchInterval: 60_000,
  });
  const newer = useNewerHere(dataUpdatedAt);
  const listed = data?.groups ?? (error ? NONE : undefined);
  const groups = useMemo(() => listed && openWorkHere(listed, newer), [listed, newer]);
  return {
    groups,
    isAnswered: data !== undefined,
    answeredAt: dataUpdatedAt,
    error,
    refetch: () => void refetch(),
    more(wait) {
      setBusy(wait);
      setPages((before) => ({ ...before, [wait]: (before[wait] ?? 0) + 1 }));
    },
    busy: isPlaceholderData ? busy : null,
  };
}

const NONE: readonly OpenWorkGroup[] = [];

/** The first page of every kind, and the further ones of those that were opened. */
async function load(pages: Pages, queries: QueryClient): Promise<OpenWorkView> {
  const { groups } = await call(routes.openWork, { query: {} });
  return { groups: await Promise.all(groups.map((group) => withPages(group, pages[group.waitsFor] ?? 0, queries))) };
}

async function withPages(first: OpenWorkGroup, more: number, queries: QueryClient): Promise<OpenWorkGroup> {
  let group = first;
  for (let page = 0; page < more && group.next !== null; page++) {
    const query = { waitsFor: group.waitsFor, ...group.next };
    // A later page stays as it is until something that is on it, or comes after it, changes.
    const { groups } = await queries.fetchQuery({
      queryKey: ["openWorkPage", query],
      queryFn: () => call(routes.openWork, { query }),
      staleTime: Infinity,
      networkMode: "always",
    });
    const [next] = groups;
    if (!next) break;
    group = { ...next, workOrders: [...group.workOrders, ...next.workOrders] };
  }
  return group;
}
