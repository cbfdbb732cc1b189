import { ruleFor } from "../commands/rule";
import type { SourcingSlice } from "../sourcing/slice";
import {
  addJobSchema,
  addLineSchema,
  addOwnJobSchema,
  changeLineSchema,
  removeJobSchema,
  removeLineSchema,
} from "./commandSchemas";
import { addJob, addLine, addOwnJob, changeLine, removeJob, removeLine } from "./quoteChanges";
import { rightsForLine } from "./rightsForLine";
import type { QuoteSlice } from "./slice";

const rule = ruleFor<QuoteSlice & SourcingSlice, Pick<QuoteSlice, "jobs">>();

export const quotingRules = {
  addJob: rule({ schema: addJobSchema, kind: "intention", needs: ["library"], apply: addJob }),
  addOwnJob: rule({ schema: addOwnJobSchema, kind: "intention", apply: addOwnJob }),
  removeJob: rule({
    schema: removeJobSchema,
    kind: "intention",
    apply: (state, { jobId }) => removeJob(state, jobId),
  }),
  addLine: rule({
    schema: addLineSchema,
    kind: "intention",
    rights: ({ line }, { rules }) => rightsForLine(line, rules),
    apply: (state, { jobId, line }) => addLine(state, jobId, line),
  }),
  removeLine: rule({
    schema: removeLineSchema,
    kind: "intention",
    apply: (state, { lineId }) => removeLine(state, lineId),
  }),
  changeLine: rule({
    schema: changeLineSchema,
    kind: "intention",
    rights: ({ priceCents }) => (priceCents === null ? [] : ["changePrices"]),
    apply: changeLine,
  }),
};
