import { z } from "zod";
import { uuid } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import type { ConflictRefusal } from "./refusals";
import type { ConflictSlice } from "./slice";

const settleConflict = z.strictObject({ type: z.literal("settleConflict"), conflictId: uuid });

const rule = ruleFor<ConflictSlice, ConflictSlice>();

export const conflictRules = {
  settleConflict: rule({
    schema: settleConflict,
    kind: "intention",
    apply({ conflicts }, { conflictId }, { at, actor }) {
      if (!conflicts.some(({ id }) => id === conflictId)) throw new Refusal<ConflictRefusal>("conflict/not-found");
      return {
        conflicts: conflicts.map((mark) =>
          mark.id === conflictId && mark.settledAt === null ? { ...mark, settledAt: at, settledBy: actor.id } : mark,
        ),
      };
    },
  }),
};
