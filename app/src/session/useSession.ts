import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { hasRight, type LibraryJob, type Right } from "@mechanon/core";
import { businessView, libraryView, me, routes, type BusinessView, type Me } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem } from "../api/problem";
import { forgetKept, keptOf, orKept } from "../offline/orKept";

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

/** A business with its job library. */
export interface Business extends BusinessView {
  library: readonly LibraryJob[];
}

const NO_LIBRARY: readonly LibraryJob[] = [];

/** Settings, library and people of the business, kept for the session. */
export function useBusiness(): Business | undefined {
  const { data: business } = useQuery({
    queryKey: ["business"],
    queryFn: () => orKept("business", businessView, () => call(routes.getBusiness, {})),
    staleTime: 10 * 60_000,
    networkMode: "always",
  });
  const library = useLibrary(business?.libraryVersion);
  return useMemo(() => business && { ...business, library }, [business, library]);
}

/** The library of a version: asked for once, and kept until the business has another. */
function useLibrary(version: number | undefined): readonly LibraryJob[] {
  const { data } = useQuery({
    queryKey: ["library", version],
    queryFn: () => orKept("library", libraryView, () => call(routes.getLibrary, {})),
    enabled: version !== undefined,
    // What is kept is shown at once; one of another version until the newest is here.
    placeholderData: (before) => before ?? libraryView.safeParse(keptOf("library")).data,
    staleTime: Infinity,
    networkMode: "always",
  });
  return data?.library ?? NO_LIBRARY;
}
