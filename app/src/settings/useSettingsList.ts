import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { BusinessSettings, ListName } from "@mechanon/core";
import { routes, type BusinessView } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem, errorWords } from "../api/problem";

/** What is told of the last try to save. */
export interface Said {
  kind: "fault" | "note";
  text: string;
}

/**
 * Saves one list of the settings. Where somebody else changed it meanwhile, their changes are taken into what is being
 * typed, so that the next save leaves nothing of theirs out.
 *
 * @param settings - as they were when the form was opened.
 * @param takeIn - brings what others changed, from `base` to `newest`, into what is typed.
 */
export function useSettingsList(
  list: ListName,
  settings: BusinessSettings,
  takeIn: (base: BusinessSettings, newest: BusinessSettings) => void,
): {
  said: Said | null;
  say: (said: Said | null) => void;
  /** @param saved - told once it is stored and the newest is here. */
  save: (send: (version: number) => Promise<unknown>, done: string, saved: () => void) => Promise<void>;
} {
  const queries = useQueryClient();
  const [base, setBase] = useState(settings);
  const [said, say] = useState<Said | null>(null);
  const save = async (send: (version: number) => Promise<unknown>, done: string, saved: () => void): Promise<void> => {
    try {
      await send(base.versions[list]);
      await queries.invalidateQueries();
      const now = queries.getQueryData<BusinessView>(["business"]);
      if (now) setBase(now.settings);
      saved();
      say({ kind: "note", text: done });
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.problem.code !== "version/changed")
        return say({ kind: "fault", text: errorWords(error) });
      await takeNewest();
    }
  };
  const takeNewest = async (): Promise<void> => {
    try {
      const { settings: newest } = await call(routes.getBusiness, {});
      takeIn(base, newest);
      setBase(newest);
      say({
        kind: "fault",
        text: "Somebody else changed this list meanwhile. Nothing was saved; their changes are in it now beside yours. Look through it, then save again.",
      });
    } catch (error) {
      say({ kind: "fault", text: errorWords(error) });
    }
  };
  return { said, say, save };
}
