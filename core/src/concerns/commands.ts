import { z } from "zod";
import { uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import type { QuoteSlice } from "../quoting/slice";
import type { ConcernRefusal } from "./refusals";
import type { ConcernSlice } from "./slice";

/** What a concern says, as it comes with a command. */
export const concernWords = {
  text: words(500).min(1),
  kind: z.enum(["fault", "wish"]),
  phraseId: words(60).nullable(),
};

const addConcern = z.strictObject({ type: z.literal("addConcern"), concernId: uuid, ...concernWords });
const removeConcern = z.strictObject({ type: z.literal("removeConcern"), concernId: uuid });

const MOST_CONCERNS = 100;

const rule = ruleFor<ConcernSlice & QuoteSlice, ConcernSlice>();

export const concernRules = {
  addConcern: rule({
    schema: addConcern,
    kind: "fact",
    apply({ concerns }, { concernId: id, text, kind, phraseId }, { at }) {
      const others = concerns.filter((other) => other.id !== id);
      if (others.length >= MOST_CONCERNS) throw new Refusal<ConcernRefusal>("concern/too-many");
      return { concerns: [...others, { id, text, kind, phraseId, at }] };
    },
  }),
  removeConcern: rule({
    schema: removeConcern,
    kind: "intention",
    apply({ concerns, jobs }, { concernId }) {
      if (!concerns.some(({ id }) => id === concernId)) throw new Refusal<ConcernRefusal>("concern/not-found");
      if (jobs.some((job) => job.concernId === concernId)) throw new Refusal<ConcernRefusal>("concern/answered");
      return { concerns: concerns.filter(({ id }) => id !== concernId) };
    },
  }),
};
