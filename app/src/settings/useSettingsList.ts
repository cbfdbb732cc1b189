import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { BusinessSettings, ListName } from "@mechanon/core";
import { routes, type BusinessView } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem, errorWords } from "../api/problem";

/** What is told of the last try to save. */
export interface SaidOfList {
  kind: "fault" | "note";
  text: string;
}

/**
 * Saves what was changed of one list of the settings. Where somebody else changed the same meanwhile, their changes are
 * taken into what is being typed, so that the next save leaves nothing of theirs out.
 *
 * @param baseOf - the settings as they were when the form was begun.
 * @param takeIn - brings what others changed, from `base` to `newest`, into what is typed.
 */
export function useSettingsList(
  list: ListName,
  baseOf: () => BusinessSettings,
  takeIn: (base: BusinessSettings, newest: BusinessSettings) => void,
): {
  said: SaidOfList | null;
  say: (said: SaidOfList | null) => void;
  /** Tells that what is typed cannot be saved as it is. */
  doesNotFit: () => void;
  /**
   * @param send - sends what differs from `base`, with the list's version.
   * @param saved - given the newest, once it is stored.
   */
  save: (
    send: (base: BusinessSettings, version: number) => Promise<unknown>,
    done: string,
    saved: (newest: BusinessSettings) => void,
  ) => Promise<void>;
} {
  const queries = useQueryClient();
  const [said, say] = useState<SaidOfList | null>(null);
  const save = async (
    send: (base: BusinessSettings, version: number) => Promise<unknown>,
    done: string,
    saved: (newest: BusinessSettings) => void,
  ): Promise<void> => {
    const base = baseOf();
    try {
      await send(base, base.versions[list]);
      await queries.invalidateQueries();
      const now = queries.getQueryData<BusinessView>(["business"]);
      saved(now?.settings ?? base);
      say({ kind: "note", text: done });
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.problem.code !== "version/changed")
        return say({ kind: "fault", text: errorWords(error) });
      await takeNewest(base);
    }
  };
  const takeNewest = async (base: BusinessSettings): Promise<void> => {
    try {
      const { settings: newest } = await call(routes.getBusiness, {});
      takeIn(base, newest);
      say({
        kind: "fault",
        text: "Somebody else changed the same meanwhile. Nothing was saved; their changes are in it now beside yours. Look through it, then save again.",
      });
    } catch (error) {
      say({ kind: "fault", text: errorWords(error) });
    }
  };
  const doesNotFit = (): void =>
    say({ kind: "fault", text: "Something above does not fit yet. Nothing was saved; put it right." });
  return { said, say, save, doesNotFit };
}
