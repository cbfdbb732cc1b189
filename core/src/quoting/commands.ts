import { ruleFor } from "../commands/rule";
import {
  addJobSchema,
  addLineSchema,
  addOperationSchema,
  addOwnJobSchema,
  addPartSchema,
  assignLaborSchema,
  changeLineSchema,
  chooseRateSchema,
  customersPartSchema,
  foundBySchema,
  refitJobSchema,
  removeJobSchema,
  removeLineSchema,
  showIncludedSchema,
  tieFindingsSchema,
  usePartSchema,
} from "./commandSchemas";
import {
  addJob,
  addLine,
  addOwnJob,
  addPart,
  assignLabor,
  changeLine,
  chooseRate,
  setFoundBy,
  setPart,
  refitJob,
  setCustomersPart,
  showIncluded,
  removeJob,
  removeLine,
  tieFindings,
  type QuotingContext,
} from "./quoteChanges";
import { addOperation } from "./addOperation";
import { rightsForLine } from "./rightsForLine";
import type { QuoteSlice } from "./slice";
import { addVisitFee, addVisitFeeSchema, type VisitFeeContext } from "./visitFee";

const rule = ruleFor<QuoteSlice, Pick<QuoteSlice, "jobs">, QuotingContext>();
const feeRule = ruleFor<QuoteSlice, Pick<QuoteSlice, "jobs">, VisitFeeContext>();

export const quotingRules = {
  addJob: rule({ schema: addJobSchema, kind: "intention", needs: ["library", "guide"], apply: addJob }),
  addOperation: rule({ schema: addOperationSchema, kind: "intention", needs: ["guide"], apply: addOperation }),
  refitJob: rule({ schema: refitJobSchema, kind: "intention", needs: ["library", "guide"], apply: refitJob }),
  addVisitFee: feeRule({ schema: addVisitFeeSchema, kind: "intention", apply: addVisitFee }),
  addOwnJob: rule({ schema: addOwnJobSchema, kind: "intention", apply: addOwnJob }),
  tieFindings: rule({ schema: tieFindingsSchema, kind: "intention", apply: tieFindings }),
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
  assignLabor: rule({
    schema: assignLaborSchema,
    kind: "intention",
    // Who does it is anybody's to say; how many hours that is for each is pay.
    rights: ({ assigned }) => (assigned.some(({ hours }) => hours !== undefined) ? ["changePrices"] : []),
    apply: assignLabor,
  }),
  chooseRate: rule({ schema: chooseRateSchema, kind: "intention", apply: chooseRate }),
  showIncluded: rule({ schema: showIncludedSchema, kind: "intention", apply: showIncluded }),
  addPart: rule({ schema: addPartSchema, kind: "intention", needs: ["library", "guide"], apply: addPart }),
  usePart: rule({ schema: usePartSchema, kind: "intention", needs: ["library"], apply: setPart }),
  foundBy: rule({ schema: foundBySchema, kind: "intention", apply: setFoundBy }),
  customersPart: rule({ schema: customersPartSchema, kind: "intention", apply: setCustomersPart }),
};
