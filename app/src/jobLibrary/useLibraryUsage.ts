import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { useAnswer } from "../offline/useAnswer";

const AN_HOUR_MS = 60 * 60_000;

/** Jobs that are put on quotes often here, and those used last by who is signed in; nothing while it is not known. */
export function useLibraryUsage(): { common: readonly string[]; last: readonly string[] } {
  const { data } = useAnswer({
    key: ["libraryUsage"],
    schema: routes.libraryUsage.answer,
    load: () => call(routes.libraryUsage, {}),
    staleTime: AN_HOUR_MS,
  });
  return data ?? NOTHING;
}

const NOTHING = { common: [], last: [] };
