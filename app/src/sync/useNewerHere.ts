import { useDeferredValue, useEffect, useMemo } from "react";
import type { WorkOrderView } from "@mechanon/contract";
import { useBusiness, useMe } from "../session/useSession";
import { namedBy, type Pending } from "./pending";
import { useSync } from "./state";
import { showKept } from "./views";
import { viewHere } from "./viewHere";

export interface NewerHere {
  /** As this device shows it. */
  view: WorkOrderView;
  /** As the server told of it last; null: it was opened here, and the server does not know of it. */
  told: WorkOrderView | null;
}

/**
 * The work orders of which this device knows more than a list does: what was done to them here waits to be sent, or the
 * server told of them after it gave the list.
 *
 * @param listedAt - when the server gave the list, in milliseconds; 0: it never did.
 */
export function useNewerHere(listedAt: number): readonly NewerHere[] {
  const { me } = useMe();
  const business = useBusiness();
  // What was tapped shows first; the lists beside it a moment later.
  const { views, asOf, pending, refused } = useDeferredValue(useSync());
  const mine = useMemo(() => pending.filter(({ by }) => by === me?.id), [pending, me]);
  const touched = useMemo(() => [...new Set(mine.flatMap(workOrdersOf))], [mine]);
  // What was kept of them yesterday may not be looked at yet.
  const unseen = touched.filter((id) => !views[id]).join(" ");
  useEffect(() => {
    for (const id of unseen.split(" ").filter(Boolean)) void showKept(id).catch(reportError);
  }, [unseen]);
  return useMemo(() => {
    if (!me || !business) return [];
    const context = { actor: me, settings: business.settings, library: business.library, guide: business.guide };
    const told = Object.keys(views).filter((id) => Date.parse(asOf[id] ?? "") > listedAt);
    return [...new Set([...touched, ...told])].flatMap((id) => {
      const view = viewHere(id, views[id], { mine, refused, context });
      return view ? [{ view, told: views[id] ?? null }] : [];
    });
  }, [me, business, views, asOf, mine, refused, touched, listedAt]);
}

function workOrdersOf(item: Pending): string[] {
  if (item.kind === "workOrder") return [item.target];
  return item.kind === "visit" ? namedBy(item) : [];
}
