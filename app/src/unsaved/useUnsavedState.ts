import { useState } from "react";
import type { z } from "zod";
import { useUnsaved, useUnsavedForms } from "./useUnsaved";

export interface UnsavedState<T> {
  value: T;
  set: (next: T | ((before: T) => T)) => void;
  /** What stood typed and unsaved was there when the form was opened. */
  isBack: boolean;
  /** It was saved, or is given up. */
  drop: () => void;
}

/** Like `useState`, but kept until it is saved or given up: a form that is left has it when one comes back. */
export function useUnsavedState<T>(form: string, schema: z.ZodType<T>, initial: T): UnsavedState<T> {
  const [typed, keep, drop] = useUnsaved(form, schema);
  const [isBack, setBack] = useState(typed !== null);
  return {
    value: typed ?? initial,
    set: (next) => {
      if (typeof next !== "function") return keep(next);
      // As it stands now, which may be later than this drawing of the form.
      const now = schema.safeParse(useUnsavedForms.getState().forms[form]);
      keep((next as (before: T) => T)(now.success ? now.data : initial));
    },
    isBack,
    drop: () => {
      setBack(false);
      drop();
    },
  };
}
