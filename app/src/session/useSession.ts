import { useQuery, useQueryClient } from "@tanstack/react-query";
import { createContext, useContext, useEffect, useMemo } from "react";
import { hasRight, type LaborGuide, type LibraryJob, type Right } from "@mechanon/core";
import { businessView, libraryView, me, routes, type BusinessView, type Me } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem } from "../api/problem";
import { keepHere, keptOf, orKept } from "../offline/orKept";
import { useAnswer } from "../offline/useAnswer";
import { leave, settleSignOut } from "./signOut";

/** The person signed in; null for a stranger, undefined while it is not known. */
export function useMe(): { me: Me | null | undefined; error: unknown; refetch: () => void } {
  const queries = useQueryClient();
  const { data, error, refetch } = useQuery({
    queryKey: ["me"],
    queryFn: async ({ signal }): Promise<Me | null> => {
      if (await settleSignOut()) return null;
      try {
        return await orKept("me", me, () => call(routes.whoAmI, { asAnybody: true }));
      } catch (problem) {
        // Somebody signed in meanwhile: this is the answer of before.
        const isOvertaken = signal.aborted;
        if (!isOvertaken && problem instanceof ApiProblem && problem.problem.status === 401) {
          // Nobody was signed in: there is nothing to leave, and what the sign-in shows stays.
          if (keptOf("me", me)) await leave(queries);
          return null;
        }
        throw problem;
      }
    },
    // Whoever was signed in last is taken for it until the server says otherwise.
    initialData: () => keptOf("me", me),
    initialDataUpdatedAt: 0,
    staleTime: 5 * 60_000,
    networkMode: "always",
  });
  return { me: data, error: data === undefined ? error : null, refetch: () => void refetch() };
}

/** Keeps who just signed in, so that the app opens without a signal from here on. */
export function keepMe(person: Me): void {
  keepHere("me", person);
}

/** Whether the person signed in has a right. */
export function useRight(right: Right): boolean {
  const { me: person } = useMe();
  return person ? hasRight(person, right) : false;
}

/** A business with its job library. */
export interface Business extends BusinessView {
  library: readonly LibraryJob[];
  /** Undefined: not here yet. */
  guide: LaborGuide | undefined;
}

/** What `BusinessProvider` gives. */
export const BusinessSlot = createContext<Business | undefined>(undefined);

/** Settings, library and people of the business, kept for the session; undefined while nothing is known. */
export function useBusiness(): Business | undefined {
  return useContext(BusinessSlot);
}

const NO_LIBRARY: readonly LibraryJob[] = [];

/** Asks for settings, library and people of the business; once for all that shows them, in `BusinessProvider`. */
export function useLoadedBusiness(): Business | undefined {
  const { data: business } = useAnswer({
    key: ["business"],
    schema: businessView,
    load: () => call(routes.getBusiness, {}),
    staleTime: 10 * 60_000,
  });
  const library = useLibrary(business?.libraryVersion);
  const guide = useGuide(library !== NO_LIBRARY);
  return useMemo(() => business && { ...business, library, guide }, [business, library, guide]);
}

const A_DAY_MS = 24 * 60 * 60_000;

/** The labor guide; asked for after all that is shown first. */
function useGuide(enabled: boolean): LaborGuide | undefined {
  const { data } = useAnswer({
    key: ["laborGuide"],
    schema: routes.getLaborGuide.answer,
    load: () => call(routes.getLaborGuide, {}),
    enabled,
    staleTime: A_DAY_MS,
  });
  return data;
}

/** The library: asked for once, and kept until the business has another version of it. */
function useLibrary(version: number | undefined): readonly LibraryJob[] {
  const { data, refetch } = useAnswer({
    key: ["library"],
    schema: libraryView,
    load: () => call(routes.getLibrary, {}),
    enabled: version !== undefined,
    staleTime: Infinity,
  });
  const known = data?.version;
  useEffect(() => {
    // One of another version is shown until the newest is here.
    if (known !== undefined && version !== undefined && known !== version) void refetch();
  }, [known, version, refetch]);
  return data?.library ?? NO_LIBRARY;
}
