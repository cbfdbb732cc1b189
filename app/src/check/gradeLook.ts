import { CircleCheck, CircleDashed, CircleSlash, Eye, OctagonX, Wrench, type IconShape } from "../ui/icons";
import type { Grade } from "@mechanon/core";

/** Each grade by a shape and a word; color comes after both. */
export const GRADE_LOOK: Readonly<Record<Grade, { label: string; icon: IconShape }>> = {
  sound: { label: "Sound", icon: CircleCheck },
  watch: { label: "Watch", icon: Eye },
  act: { label: "Act now", icon: Wrench },
  unsafe: { label: "Unsafe", icon: OctagonX },
  skipped: { label: "Not seen", icon: CircleSlash },
};
export const NO_GRADE: IconShape = CircleDashed;
