import { useMemo } from "react";
import { dayOf } from "@mechanon/core";
import { routes, type DayVisit } from "@mechanon/contract";
import { call } from "../api/call";
import { useAnswer } from "../offline/useAnswer";
import { useBusiness } from "../session/useSession";
import { useNewerHere } from "../sync/useNewerHere";
import { dayHere } from "./dayHere";
import { keptDay } from "./keptDay";
import { useNow } from "./useNow";

/** Today in the business's zone. */
export function useToday(): string {
  const now = useNow();
  const business = useBusiness();
  return dayOf(now, business?.timeZone ?? "utc");
}

/**
 * The visits of a day, with what was booked and done here.
 * @returns `visits` undefined while nothing is known; without an answer and a copy of one: those of this device alone.
 */
export function useDay(date: string) {
  const business = useBusiness();
  const { data, error, dataUpdatedAt, fetchStatus, refetch } = useAnswer({
    key: ["day", date],
    schema: keptDay,
    load: () => call(routes.getDay, { query: { date } }),
    refetchInterval: 60_000,
  });
  const newer = useNewerHere(dataUpdatedAt);
  const listed = data?.visits ?? (error ? NONE : undefined);
  const visits = useMemo(() => {
    if (!listed || !business) return undefined;
    const names = new Map(business.people.map(({ id, name }) => [id, name]));
    return dayHere(listed, newer, { date, zone: business.timeZone, names });
  }, [listed, newer, date, business]);
  return { visits, isAnswered: data !== undefined, answeredAt: dataUpdatedAt, error, fetchStatus, refetch };
}

const NONE: readonly DayVisit[] = [];
