import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import type { WorkOrderView } from "@mechanon/contract";
import { useBusiness, useMe } from "../session/useSession";
import { withPending } from "./queue";
import { loadWorkOrder, useSync } from "./store";

/** A work order as this device shows it, with what is still unsent applied. */
export function useWorkOrder(id: string): { view: WorkOrderView | undefined; error: unknown; refetch: () => void } {
  const { me } = useMe();
  const business = useBusiness();
  const base = useSync((state) => state.views[id]);
  const pending = useSync((state) => state.pending);
  const { error, refetch } = useQuery({
    queryKey: ["workOrder", id],
    queryFn: async () => {
      await loadWorkOrder(id);
      return id;
    },
  });
  const view = useMemo(() => {
    if (!base || !me || !business) return undefined;
    return withPending(
      base,
      pending.filter(({ by }) => by === me.id),
      { actor: me, settings: business.settings, library: business.library },
    );
  }, [base, pending, me, business]);
  return { view, error: view ? null : error, refetch: () => void refetch() };
}
