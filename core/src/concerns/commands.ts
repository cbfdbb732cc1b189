import { z } from "zod";
import { uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import type { QuoteSlice } from "../quoting/slice";
import type { ConcernRefusal } from "./refusals";
import { CONCERN_OUTCOMES, type Concern, type ConcernSlice } from "./slice";

/** What a concern says, as it comes with a command. */
export const concernWords = {
  text: words(500).min(1),
  kind: z.enum(["fault", "wish"]),
  phraseId: words(60).nullable(),
};

const addConcern = z.strictObject({ type: z.literal("addConcern"), concernId: uuid, ...concernWords });
const removeConcern = z.strictObject({ type: z.literal("removeConcern"), concernId: uuid });

const answerConcern = z
  .strictObject({
    type: z.literal("answerConcern"),
    concernId: uuid,
    outcome: z.enum(CONCERN_OUTCOMES),
    cause: words(300),
    correction: words(300),
    reason: words(300),
  })
  .refine(({ outcome, cause }) => outcome !== "found" || cause !== "", "a cause is needed")
  .refine(({ outcome, reason }) => outcome === "found" || reason !== "", "a reason is needed");
const reopenConcern = z.strictObject({ type: z.literal("reopenConcern"), concernId: uuid });

const MOST_CONCERNS = 100;

const rule = ruleFor<ConcernSlice & QuoteSlice, ConcernSlice>();

export const concernRules = {
  addConcern: rule({
    schema: addConcern,
    kind: "fact",
    apply({ concerns }, { concernId: id, text, kind, phraseId }, { at }) {
      // Sent twice it is one, with what became of it since.
      if (concerns.some((other) => other.id === id && other.text === text)) return {};
      const others = concerns.filter((other) => other.id !== id);
      if (others.length >= MOST_CONCERNS) throw new Refusal<ConcernRefusal>("concern/too-many");
      return { concerns: [...others, { id, text, kind, phraseId, at }] };
    },
  }),
  answerConcern: rule({
    schema: answerConcern,
    kind: "intention",
    apply({ concerns }, { concernId, outcome, cause, correction, reason }, { at, actor }) {
      requireConcern(concerns, concernId);
      const answer = { outcome, cause, correction, reason, at, by: actor.id };
      return { concerns: concerns.map((each) => (each.id === concernId ? { ...each, answer } : each)) };
    },
  }),
  reopenConcern: rule({
    schema: reopenConcern,
    kind: "intention",
    apply({ concerns }, { concernId }) {
      requireConcern(concerns, concernId);
      return {
        concerns: concerns.map(({ answer, ...each }) =>
          each.id === concernId || !answer ? each : { ...each, answer },
        ),
      };
    },
  }),
  removeConcern: rule({
    schema: removeConcern,
    kind: "intention",
    apply({ concerns, jobs }, { concernId }) {
      requireConcern(concerns, concernId);
      if (jobs.some((job) => job.concernId === concernId)) throw new Refusal<ConcernRefusal>("concern/answered");
      return { concerns: concerns.filter(({ id }) => id !== concernId) };
    },
  }),
};

function requireConcern(concerns: readonly Concern[], id: string): void {
  if (!concerns.some((each) => each.id === id)) throw new Refusal<ConcernRefusal>("concern/not-found");
}
