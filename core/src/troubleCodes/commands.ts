import { z } from "zod";
import { uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import { readCode } from "./readCode";
import type { TroubleCodeRefusal } from "./refusals";
import type { TroubleCodeSlice } from "./slice";

const when = z.enum(["before", "after"]);
const noteCode = z.strictObject({
  type: z.literal("noteCode"),
  id: uuid,
  code: words(12).refine((typed) => readCode(typed) !== null, "is no trouble code"),
  words: words(200),
  when,
  concernId: uuid.nullable(),
});
const removeCode = z.strictObject({ type: z.literal("removeCode"), id: uuid });
const noteNoCodes = z.strictObject({ type: z.literal("noteNoCodes"), when });

const MOST_CODES = 100;

const rule = ruleFor<TroubleCodeSlice, TroubleCodeSlice>();

export const troubleCodeRules = {
  noteCode: rule({
    schema: noteCode,
    kind: "fact",
    apply({ codes, noCodes }, { id, code: typed, words: said, when: read, concernId }, { at, actor }) {
      const code = readCode(typed)?.code ?? typed;
      // The same code read twice at the same time is one.
      const others = codes.filter((each) => each.id !== id && (each.code !== code || each.when !== read));
      if (others.length >= MOST_CODES) throw new Refusal<TroubleCodeRefusal>("code/too-many");
      return {
        codes: [...others, { id, code, words: said, when: read, concernId, at, by: actor.id }],
        noCodes: noCodes.filter((each) => each.when !== read),
      };
    },
  }),
  removeCode: rule({
    schema: removeCode,
    kind: "intention",
    apply({ codes }, { id }) {
      if (!codes.some((each) => each.id === id)) throw new Refusal<TroubleCodeRefusal>("code/not-found");
      return { codes: codes.filter((each) => each.id !== id) };
    },
  }),
  noteNoCodes: rule({
    schema: noteNoCodes,
    kind: "fact",
    apply: ({ noCodes }, { when: read }, { at, actor }) => ({
      noCodes: [...noCodes.filter((each) => each.when !== read), { when: read, at, by: actor.id }],
    }),
  }),
};
