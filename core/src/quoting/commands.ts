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
  tieFindings,
  type QuotingContext,
} from "./quoteChanges";
import { addStockPart, takeFromVan, takeOffer, type StockContext } from "./addStockPart";
import { addOperation } from "./addOperation";
import {
  addDiscount,
  copyLine,
  editJob,
  editLine,
  followTaxes,
  grantOffer,
  moveJob,
  moveLine,
  putBack,
  removeDiscount,
  removeJob,
  removeLine,
  setValidUntil,
  splitLine,
  takeTodaysRules,
  type PricingContext,
  type PaidState,
} from "./editQuote";
import {
  addDiscountSchema,
  addStockPartSchema,
  copyLineSchema,
  editJobSchema,
  editLineSchema,
  followTaxesSchema,
  moveJobSchema,
  moveLineSchema,
  putBackSchema,
  removeDiscountSchema,
  setValidUntilSchema,
  splitLineSchema,
  takeFromVanSchema,
  takeOfferSchema,
  useOfferSchema,
  useTodaysRulesSchema,
} from "./editSchemas";
import { offerOtherWay, offerOtherWaySchema, removeOtherWay, removeOtherWaySchema } from "./otherWays";
import { rightsForCopy, rightsForEdit, rightsForLine } from "./rightsForLine";
import type { QuoteSlice } from "./slice";
import { addWay, addWaySchema, nameWay, nameWaySchema, standInWay, standInWaySchema } from "./waysByHand";
import { addVisitFee, addVisitFeeSchema, type VisitFeeContext } from "./visitFee";

const rule = ruleFor<QuoteSlice, Omit<QuoteSlice, "taxExempt">, QuotingContext>();
const pricingRule = ruleFor<QuoteSlice & PaidState, Omit<QuoteSlice, "taxExempt">, PricingContext>();
const stockRule = ruleFor<QuoteSlice, Pick<QuoteSlice, "jobs">, StockContext>();
const feeRule = ruleFor<QuoteSlice, Pick<QuoteSlice, "jobs">, VisitFeeContext>();

export const quotingRules = {
  offerOtherWay: rule({
    schema: offerOtherWaySchema,
    kind: "intention",
    needs: ["library", "guide"],
    apply: offerOtherWay,
  }),
  removeOtherWay: rule({ schema: removeOtherWaySchema, kind: "intention", apply: removeOtherWay }),
  addWay: rule({ schema: addWaySchema, kind: "intention", apply: addWay }),
  standInWay: rule({ schema: standInWaySchema, kind: "intention", apply: standInWay }),
  nameWay: rule({ schema: nameWaySchema, kind: "intention", apply: nameWay }),
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
    apply: (state, { jobId, line, beforeLineId }) => addLine(state, jobId, line, "hand", beforeLineId),
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
  editLine: rule({ schema: editLineSchema, kind: "intention", rights: rightsForEdit, apply: editLine }),
  moveLine: rule({ schema: moveLineSchema, kind: "intention", apply: moveLine }),
  moveJob: rule({ schema: moveJobSchema, kind: "intention", apply: moveJob }),
  copyLine: rule({
    schema: copyLineSchema,
    kind: "intention",
    // A fee or a part once more is one more price.
    rights: ({ lineId }, state) => rightsForCopy(state, lineId),
    apply: copyLine,
  }),
  splitLine: rule({ schema: splitLineSchema, kind: "intention", apply: splitLine }),
  editJob: rule({
    schema: editJobSchema,
    kind: "intention",
    rights: ({ change: { off, setPrice, payer } }) =>
      off === undefined && setPrice === undefined && payer === undefined ? [] : ["changePrices"],
    apply: editJob,
  }),
  putBack: rule({ schema: putBackSchema, kind: "intention", apply: putBack }),
  addDiscount: rule({
    schema: addDiscountSchema,
    kind: "intention",
    rights: () => ["changePrices"],
    apply: addDiscount,
  }),
  useOffer: pricingRule({ schema: useOfferSchema, kind: "intention", apply: grantOffer }),
  removeDiscount: rule({
    schema: removeDiscountSchema,
    kind: "intention",
    // An offer is anybody's to grant and to take back; what was typed is price.
    rights: ({ discountId }, { discounts = [] }) =>
      discounts.some(({ id, offerId }) => id === discountId && offerId === null) ? ["changePrices"] : [],
    apply: (state, { discountId }) => removeDiscount(state, discountId),
  }),
  setValidUntil: rule({
    schema: setValidUntilSchema,
    kind: "intention",
    rights: () => ["changePrices"],
    apply: setValidUntil,
  }),
  followTaxes: pricingRule({ schema: followTaxesSchema, kind: "intention", apply: followTaxes }),
  addStockPart: stockRule({ schema: addStockPartSchema, kind: "intention", apply: addStockPart }),
  takeFromVan: stockRule({ schema: takeFromVanSchema, kind: "intention", apply: takeFromVan }),
  takeOffer: rule({ schema: takeOfferSchema, kind: "intention", source: "server", apply: takeOffer }),
  useTodaysRules: pricingRule({
    schema: useTodaysRulesSchema,
    kind: "intention",
    apply: (state, _command, context) => takeTodaysRules(state, context),
  }),
};
