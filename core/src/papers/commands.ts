import { z } from "zod";
import { uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import type { ConcernRefusal } from "../concerns/refusals";
import type { ConcernSlice } from "../concerns/slice";
import { PAPERS } from "./paper";
import type { PaperSlice } from "./slice";

const wordPaper = z.strictObject({
  type: z.literal("wordPaper"),
  paper: z.enum(PAPERS),
  /** Null: what the paper opens with. */
  concernId: uuid.nullable(),
  /** Null: as usual again. */
  text: words(1000).nullable(),
});

const rule = ruleFor<ConcernSlice & PaperSlice, PaperSlice>();

export const paperRules = {
  wordPaper: rule({
    schema: wordPaper,
    kind: "intention",
    apply({ concerns, paperWordings = [] }, { paper, concernId, text }) {
      if (concernId !== null && !concerns.some(({ id }) => id === concernId))
        throw new Refusal<ConcernRefusal>("concern/not-found");
      const others = paperWordings.filter((each) => each.paper !== paper || each.concernId !== concernId);
      return { paperWordings: text === null ? others : [...others, { paper, concernId, text }] };
    },
  }),
};
