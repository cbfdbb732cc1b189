import { useQuery } from "@tanstack/react-query";
import { routes, type OpenMessage, type VisitRequest } from "@mechanon/contract";
import { call } from "../api/call";
import { useNow } from "../day/useNow";

/** Who took a request is told so long. */
const TOLD_MS = 2 * 60_000;

/** What waits for somebody of ours: requests, and messages. */
export interface Waiting {
  requests: VisitRequest[];
  messages: OpenMessage[];
  /** Requests somebody saw to a moment ago. */
  justTaken: VisitRequest[];
}

/** What waits, as the server told it last; kept in step by the changes every device hears of. */
export function useWaiting(): Waiting {
  const now = useNow();
  const requests = useRequests().data ?? [];
  const { data: messages = [] } = useQuery({
    queryKey: ["openMessages"],
    queryFn: async () => (await call(routes.openMessages, {})).messages,
    staleTime: STALE_MS,
  });
  return {
    requests: requests.filter(({ status }) => status === "waiting"),
    messages,
    justTaken: requests.filter(
      ({ takenBy, takenAt }) => takenBy !== null && takenAt !== null && Date.parse(now) - Date.parse(takenAt) < TOLD_MS,
    ),
  };
}

const STALE_MS = 60_000;

/** All requests of the last two weeks, those that wait first. */
export function useRequests() {
  return useQuery({
    queryKey: ["requests"],
    queryFn: async () => (await call(routes.listRequests, {})).requests,
    staleTime: STALE_MS,
  });
}
