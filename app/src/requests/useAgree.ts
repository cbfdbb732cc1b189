import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import type { AskedTime } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import type { Match } from "./likelyMatch";

/** Agrees to a request, and goes on with the work order it became. */
export function useAgree(id: string) {
  const router = useRouter();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (agreed: Match & { time: AskedTime | null }) =>
      call(routes.agreeToRequest, { params: { id }, body: agreed }),
    onSuccess: ({ workOrderId }) => router.navigate(`/work/${workOrderId}`),
    onSettled: async () => {
      await queries.invalidateQueries({ queryKey: ["requests"] });
      await queries.invalidateQueries({ queryKey: ["request", id] });
    },
  });
}
