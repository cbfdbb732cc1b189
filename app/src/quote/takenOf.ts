import type { Explained } from "@mechanon/core";

/** What the discount of a line or its job was taken of, in cents; null: there is none, or nothing to take it of. */
export function takenOf({ steps }: Explained, by: "line" | "job"): number | null {
  for (const step of steps) if (step.rule === "discount" && step.by === by) return step.of;
  return null;
}
