import { keepPreviousData, useQuery, useQueryClient, type UseQueryResult } from "@tanstack/react-query";
import { useEffect } from "react";
import type { z } from "zod";
import { keepAnswer, keptAnswer } from "./keptAnswers";

interface Asked<T> {
  key: readonly unknown[];
  schema: z.ZodType<T>;
  load: () => Promise<T>;
  enabled?: boolean;
  staleTime?: number;
  refetchInterval?: number;
  /** What was shown for the question before stays until this one's answer is there. */
  keepsBefore?: boolean;
}

/**
 * What the server answers to a question; until it does, and where it cannot, what it answered last on this device.
 * `dataUpdatedAt` says when that was.
 */
export function useAnswer<T>({ key, schema, load, keepsBefore, ...options }: Asked<T>): UseQueryResult<T> {
  const queries = useQueryClient();
  const isEnabled = options.enabled ?? true;
  const name = JSON.stringify(key);
  useEffect(() => {
    if (!isEnabled) return;
    const queryKey = JSON.parse(name) as unknown[];
    if (queries.getQueryData(queryKey) !== undefined) return;
    void keptAnswer(queryKey, schema).then((kept) => {
      // An answer that came meanwhile is newer.
      if (kept && queries.getQueryData(queryKey) === undefined)
        queries.setQueryData(queryKey, kept.answer, { updatedAt: Date.parse(kept.asOf) });
    });
  }, [queries, name, schema, isEnabled]);
  return useQuery<T>({
    queryKey: key,
    queryFn: async () => {
      const answer = await load();
      void keepAnswer(key, answer);
      return answer;
    },
    // Without a connection it is asked all the same: whether there is one, only asking tells.
    networkMode: "always",
    ...(keepsBefore ? { placeholderData: keepPreviousData } : {}),
    ...options,
  });
}
