import { useMemo } from "react";
import { routes, type DayVisit } from "@mechanon/contract";
import { call } from "../api/call";
import { useAnswer } from "../offline/useAnswer";
import { useBusiness, useMe } from "../session/useSession";
import { useSync } from "../sync/state";
import { keptDays } from "./keptDays";
import { visitsHere } from "./visitsHere";

/** What else keeps a mechanic. */
export interface OwnTime {
  mechanicId: string;
  title: string;
  startsAt: string;
  endsAt: string;
}

/** The visits of some days, both included, with what was done to them here; undefined while nothing is known. */
export function useDays(from: string, to: string) {
  const business = useBusiness();
  const { me } = useMe();
  const pending = useSync((state) => state.pending);
  const { data, error, dataUpdatedAt, refetch } = useAnswer({
    key: ["days", from, to],
    schema: keptDays,
    load: () => call(routes.getDays, { query: { from, to } }),
    refetchInterval: 60_000,
  });
  const visits = useMemo((): DayVisit[] | undefined => {
    if (!data || !business) return undefined;
    const names = new Map(business.people.map(({ id, name }) => [id, name]));
    return visitsHere(
      data.visits,
      pending.filter(({ by }) => by === me?.id),
      names,
    );
  }, [data, pending, me, business]);
  return { visits, busy: data?.busy ?? NONE, answeredAt: dataUpdatedAt, error, refetch };
}

const NONE: readonly OwnTime[] = [];
