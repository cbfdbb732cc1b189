import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { dayOf } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { useBusiness } from "../session/useSession";

const TICK_MS = 30_000;

/** Now, as an ISO instant, moving on by itself. */
export function useNow(): string {
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** Today in the business's zone. */
export function useToday(): string {
  const now = useNow();
  const business = useBusiness();
  return dayOf(now, business?.timeZone ?? "utc");
}

/** The visits of a day. */
export function useDay(date: string) {
  return useQuery({
    queryKey: ["day", date],
    queryFn: () => call(routes.getDay, { query: { date } }),
    refetchInterval: 60_000,
  });
}
