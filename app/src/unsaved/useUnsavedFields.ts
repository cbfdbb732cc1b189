import { useEffect, useState } from "react";
import type { FieldValues, UseFormReturn } from "react-hook-form";
import { z } from "zod";
import { changedFields } from "@mechanon/core";
import { useUnsavedForms } from "./useUnsaved";

const typedFields = z.record(z.string(), z.unknown());

/**
 * Keeps what is typed in a form of react-hook-form until it is saved or given up: it is there again after the form was
 * left or the page loaded anew.
 *
 * Only what differs from `initial` is kept: of the rest the newest shows when the form is opened again.
 *
 * @param schema - what an older app kept and does not fit any more is let go.
 * @returns whether something stood typed when the form was opened, and what drops it.
 */
export function useUnsavedFields<T extends FieldValues, C, R>(
  key: string,
  { watch, reset, getValues }: Pick<UseFormReturn<T, C, R>, "watch" | "reset" | "getValues">,
  initial: object,
  schema: z.ZodType = typedFields,
): { isBack: boolean; drop: () => void } {
  const [kept] = useState(() => readKept(useUnsavedForms.getState().forms[key], schema));
  const [isBack, setBack] = useState(kept !== null);
  useEffect(() => {
    // Fields an older app did not know are as the record has them.
    if (kept) reset({ ...getValues(), ...kept }, { keepDefaultValues: true });
    const { unsubscribe } = watch((typed, { name }) => {
      // Without a name nobody typed: the form was set anew.
      if (name !== undefined) useUnsavedForms.getState().keep(key, changedFields(initial, typed).becomes);
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

function readKept(kept: unknown, schema: z.ZodType): Record<string, unknown> | null {
  // As its form has it now: what an older app did not know of is filled by the schema.
  const fields = typedFields.safeParse(schema.safeParse(kept).data);
  return fields.success ? fields.data : null;
}
