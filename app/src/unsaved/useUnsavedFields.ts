import { useEffect, useState } from "react";
import type { FieldValues, UseFormReturn } from "react-hook-form";
import { z } from "zod";
import { useUnsavedForms } from "./useUnsaved";

const typedFields = z.record(z.string(), z.unknown());

/**
 * Keeps what is typed in a form of react-hook-form until it is saved or given up: it is there again after the form was
 * left or the page loaded anew.
 *
 * @returns whether something stood typed when the form was opened, and what drops it.
 */
export function useUnsavedFields<T extends FieldValues, C, R>(
  key: string,
  { watch, reset, getValues }: Pick<UseFormReturn<T, C, R>, "watch" | "reset" | "getValues">,
): { isBack: boolean; drop: () => void } {
  const [kept] = useState(() => typedFields.safeParse(useUnsavedForms.getState().forms[key]));
  const [isBack, setBack] = useState(kept.success);
  useEffect(() => {
    // Fields an older app did not know are as the record has them.
    if (kept.success) reset({ ...getValues(), ...kept.data }, { keepDefaultValues: true });
    const { unsubscribe } = watch((typed, { name }) => {
      // Without a name nobody typed: the form was set anew.
      if (name !== undefined) useUnsavedForms.getState().keep(key, typed);
    });
    return unsubscribe;
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return {
    isBack,
    drop: () => {
      setBack(false);
      useUnsavedForms.getState().drop(key);
    },
  };
}
