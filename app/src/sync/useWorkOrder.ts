import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import type { WorkOrderView } from "@mechanon/contract";
import { useBusiness, useMe } from "../session/useSession";
import { isOpening } from "./pending";
import { useSync } from "./state";
import { loadWorkOrder, showKept } from "./views";
import { viewHere } from "./viewHere";

/**
 * A work order as this device shows it: the copy it keeps at once, the server's as soon as it answers, with what is
 * still unsent applied; one that was opened here is there before the server knows of it.
 */
export function useWorkOrder(id: string): {
  view: WorkOrderView | undefined;
  /** When the server last said how it is; null: it never did. */
  asOf: string | null;
  error: unknown;
  refetch: () => void;
} {
  const { me } = useMe();
  const business = useBusiness();
  const kept = useSync((state) => state.views[id]);
  const asOf = useSync((state) => state.asOf[id] ?? null);
  const pending = useSync((state) => state.pending);
  const refused = useSync((state) => state.refused);
  const isOpenedHere = [...pending, ...refused].some((item) => item.target === id && isOpening(item));
  const { error, refetch } = useQuery({
    queryKey: ["workOrder", id],
    queryFn: async () => {
      await showKept(id);
      // It is not there before what opens it was sent, which brings it along.
      if (!isOpenedHere) await loadWorkOrder(id);
      return id;
    },
    networkMode: "always",
  });
  const view = useMemo(() => {
    if (!me || !business) return undefined;
    const context = { actor: me, settings: business.settings, library: business.library, guide: business.guide };
    const mine = pending.filter(({ by }) => by === me.id);
    return viewHere(id, kept, { mine, refused, context });
  }, [id, kept, pending, refused, me, business]);
  return { view, asOf, error: view ? null : error, refetch: () => void refetch() };
}
