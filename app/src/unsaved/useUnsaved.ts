import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { z } from "zod";

interface UnsavedForms {
  /** What is typed and not saved yet, by form. */
  forms: Record<string, unknown>;
  keep: (form: string, typed: unknown) => void;
  drop: (form: string) => void;
}

/** What stands typed in forms: leaving one, or loading the page again, drops none of it. */
export const useUnsavedForms = create<UnsavedForms>()(
  persist(
    (set) => ({
      forms: {},
      keep: (form, typed) => set(({ forms }) => ({ forms: { ...forms, [form]: typed } })),
      drop: (form) => set(({ forms: { [form]: _gone, ...forms } }) => ({ forms })),
    }),
    { name: "mechanon-unsaved", version: 1 },
  ),
);

/**
 * Like a state, but of a form that may be left: what was typed and not saved is there when one comes back.
 *
 * @param form - which one, such as `odometer/ID`.
 * @param schema - of what is typed; what an older app kept and does not fit any more is let go.
 * @returns what stands typed, or null where nothing does; what keeps it; what drops it once it is saved.
 */
export function useUnsaved<T>(
  form: string,
  schema: z.ZodType<T>,
): [typed: T | null, keep: (typed: T) => void, drop: () => void] {
  const kept = useUnsavedForms(({ forms }) => forms[form]);
  const { keep, drop } = useUnsavedForms.getState();
  const parsed = kept === undefined ? null : schema.safeParse(kept);
  return [parsed?.success ? parsed.data : null, (typed) => keep(form, typed), () => drop(form)];
}
