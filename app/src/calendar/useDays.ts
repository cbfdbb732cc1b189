import { useLayoutEffect, useMemo, useRef } from "react";
import { routes, type DayVisit } from "@mechanon/contract";
import { call } from "../api/call";
import { useAnswer } from "../offline/useAnswer";
import { useBusiness, useMe } from "../session/useSession";
import { useSync } from "../sync/state";
import { useCalendar } from "./calendarStore";
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
  const shown = useCalendar((state) => state.shown);
  const mine = useMemo(() => pending.filter(({ by }) => by === me?.id), [pending, me]);
  const visits = useMemo((): DayVisit[] | undefined => {
    if (!data || !business) return undefined;
    const names = new Map(business.people.map(({ id, name }) => [id, name]));
    return visitsHere(data.visits, mine, { names, shown, listedAt: dataUpdatedAt });
  }, [data, mine, shown, dataUpdatedAt, business]);
  const touched = mine.flatMap((item) => (item.kind === "visit" ? item.target : [])).join(" ");
  const latest = useRef(visits);
  useLayoutEffect(() => {
    const ids = touched.split(" ").filter(Boolean);
    // What waited is sent, or was refused: until a newer list says which, it stays as it was shown.
    if (ids.length === 0) {
      if (useCalendar.getState().shown.at > 0) void refetch();
      return;
    }
    return () => {
      const waited = (latest.current ?? []).filter(({ visit }) => ids.includes(visit.id));
      const shownNow = Object.fromEntries(waited.map(({ visit }) => [visit.id, visit]));
      useCalendar.setState({ shown: { visits: shownNow, at: Date.now() } });
    };
  }, [touched, refetch]);
  useLayoutEffect(() => {
    latest.current = visits;
  });
  return { visits, busy: data?.busy ?? NONE, answeredAt: dataUpdatedAt, error, refetch };
}

const NONE: readonly OwnTime[] = [];
