import { useMutation, useQueryClient } from "@tanstack/react-query";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";

/** What is said of a message that waits. */
export function useDecide(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (decision: "send" | "drop" | "done") =>
      call(routes.decideMessage, { params: { id }, body: { decision } }),
    onSettled: () => queries.invalidateQueries({ queryKey: ["openMessages"] }),
  });
}
