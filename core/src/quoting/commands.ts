import { noRight, ruleFor } from "../commands/rule";
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
    // Labor at the business's own rate is anybody's to add; a price or cost of one's own takes the right.
    right({ line }) {
      const ownPrice = line.kind !== "labor" && line.priceCents !== null;
      const ownCost = line.kind === "part" && line.costCents !== null;
      return ownPrice || ownCost ? "changePrices" : noRight();
    },
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
    right: ({ priceCents }) => (priceCents === null ? null : "changePrices"),
    apply: changeLine,
  }),
};
