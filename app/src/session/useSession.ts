import { useQuery } from "@tanstack/react-query";
import { hasRight, type Right } from "@mechanon/core";
import { businessView, me, routes, type BusinessView, type Me } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem } from "../api/problem";
import { forgetKept, orKept } from "../offline/orKept";

/** The person signed in; null for a stranger, undefined while it is not known. */
export function useMe(): { me: Me | null | undefined; error: unknown; refetch: () => void } {
  const { data, error, refetch } = useQuery({
    queryKey: ["me"],
    queryFn: async (): Promise<Me | null> => {
      try {
        return await orKept("me", me, () => call(routes.whoAmI, {}));
      } catch (problem) {
        if (problem instanceof ApiProblem && problem.problem.status === 401) {
          forgetKept();
          return null;
        }
        throw problem;
      }
    },
    staleTime: 5 * 60_000,
    networkMode: "always",
  });
  return { me: data, error: data === undefined ? error : null, refetch: () => void refetch() };
}

/** Whether the person signed in has a right. */
export function useRight(right: Right): boolean {
  const { me: person } = useMe();
  return person ? hasRight(person, right) : false;
}

/** Settings, library and people of the business, kept for the session. */
export function useBusiness(): BusinessView | undefined {
  return useQuery({
    queryKey: ["business"],
    queryFn: () => orKept("business", businessView, () => call(routes.getBusiness, {})),
    staleTime: 10 * 60_000,
    networkMode: "always",
  }).data;
}
