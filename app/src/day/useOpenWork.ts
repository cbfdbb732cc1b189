import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Wait } from "@mechanon/core";
import { routes, type OpenWork, type OpenWorkGroup } from "@mechanon/contract";
import { call } from "../api/call";

/** How many pages of each kind of waiting are shown beyond the first. */
type Pages = Partial<Record<Wait, number>>;

/** Everything open by what it waits for, oldest first, truly counted; more of a kind is loaded page by page. */
export function useOpenWork(): {
  groups: OpenWorkGroup[] | undefined;
  error: unknown;
  refetch: () => void;
  more: (wait: Wait) => void;
  /** The kind whose next page is being loaded. */
  busy: Wait | null;
} {
  const [pages, setPages] = useState<Pages>({});
  const [busy, setBusy] = useState<Wait | null>(null);
  const { data, error, refetch, isPlaceholderData } = useQuery({
    queryKey: ["openWork", pages],
    queryFn: () => load(pages),
    // What is shown stays until the next page is there.
    placeholderData: (before: OpenWork | undefined) => before,
    refetchInterval: 60_000,
  });
  return {
    groups: data?.groups,
    error,
    refetch: () => void refetch(),
    more(wait) {
      setBusy(wait);
      setPages((before) => ({ ...before, [wait]: (before[wait] ?? 0) + 1 }));
    },
    busy: isPlaceholderData ? busy : null,
  };
}

/** The first page of every kind, and the further ones of those that were opened. */
async function load(pages: Pages): Promise<OpenWork> {
  const { groups } = await call(routes.openWork, { query: {} });
  return { groups: await Promise.all(groups.map((group) => withPages(group, pages[group.waitsFor] ?? 0))) };
}

async function withPages(first: OpenWorkGroup, more: number): Promise<OpenWorkGroup> {
  let group = first;
  for (let page = 0; page < more && group.next !== null; page++) {
    const { groups } = await call(routes.openWork, { query: { waitsFor: group.waitsFor, ...group.next } });
    const [next] = groups;
    if (!next) break;
    group = { ...next, workOrders: [...group.workOrders, ...next.workOrders] };
  }
  return group;
}
