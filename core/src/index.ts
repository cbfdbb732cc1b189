export { RIGHTS, hasRight, right, type Actor, type Right } from "./access/rights";
export { redactLibrary, redactSettings } from "./quoting/redact";
export { redactWorkOrder } from "./workOrders/redactWorkOrder";
export {
  CONTACT_WAYS,
  CUSTOMER_KINDS,
  accessNotes,
  contact,
  customerDetails,
  customerEmail,
  customerPhone,
  newcomerAnswer,
  noAccessNotes,
  noDetails,
  serviceAddress,
  textConsent,
  type AccessNotes,
  type Contact,
  type ContactWay,
  type CustomerDetails,
  type CustomerEmail,
  type CustomerKind,
  type CustomerPhone,
  type ServiceAddress,
  type TextConsent,
} from "./customers/details";
export { approvalLimitOf, approversOf, type Approver } from "./customers/approvers";
export {
  LIKENESSES,
  isSurelySame,
  surelySameKeys,
  likenesses,
  type Compared,
  type Likeness,
} from "./customers/likeness";
export { mergedDetails } from "./customers/mergedDetails";
export { tidyName } from "./customers/personName";
export { readPhone, showPhone } from "./customers/phone";
export { accessAt, accessLine, mainPhone, mainPlace, mayText, textPhone } from "./customers/reach";
export { ERASED, visitWithoutPerson, workOrderWithoutPerson } from "./workOrders/withoutPerson";
export { soundsLike } from "./customers/soundsLike";
export { streetKey } from "./customers/street";
export { withoutFormulaGuard } from "./transfer/cells";
export { guessByContents, isHeadless } from "./transfer/guessByContents";
export { IMPORT_FIELDS, guessColumns, type ImportField } from "./transfer/importFields";
export { readImportRow, type ImportedCar, type ImportedRow } from "./transfer/readImportRow";
export { differingMarks } from "./search/differingMarks";
export { matchMarks, type Mark } from "./search/matchMarks";
export { mayBeHeardAs, soundKeys } from "./search/soundKeys";
export { FEWEST_NEAR, isNearMiss, isOneEditAway, shapesOf } from "./search/nearMiss";
export { LOCAL_PHONE_DIGITS, phoneKeys, readSearch, vinKey, type SearchQuery } from "./search/searchQuery";
export {
  KEY_KINDS,
  WORD_FIELDS,
  searchTerms,
  type KeyKind,
  type SearchTerms,
  type SearchedCustomer,
  type SearchedVehicle,
  type WordField,
} from "./search/searchTerms";
export { otherSpellings } from "./search/otherSpellings";
export { fold } from "./search/fold";
export { wordsOf } from "./search/words";
export { showPlace } from "./wording/place";
export { tenThousandths } from "./exact/decimal";
export { gradeFromMeasurement, openPoints } from "./inspection/grade";
export { offersForConcerns, offersForFindings, type Offer } from "./inspection/offers";
export { approvedQuote, balanceOf, type Balance } from "./payments/balance";
export { libraryJob, quoteLine, type LibraryJob, type PartLine, type QuoteLine } from "./quoting/line";
export { unitPriceFromCost } from "./quoting/price/unitPrice";
export type { PricedLine, PricedQuote } from "./quoting/price/priceQuote";
export { receiptOf, type Receipt } from "./payments/receipt";
export { CUSTOMER_PAYER, priceWorkOrder } from "./quoting/priceWorkOrder";
export { orderCostCents } from "./sourcing/orderCost";
export { driveMinutes, milesBetween } from "./schedule/driveMinutes";
export {
  businessSettings,
  upgradeSettings,
  type ListName,
  concernPhrase,
  newcomerSettings,
  type BusinessSettings,
  type ConcernPhrase,
  type InspectionPoint,
  type MoneyRules,
  type NewcomerSettings,
  type ConcernGap,
  type OwnersInterval,
} from "./settings/businessSettings";
export { mergeLists } from "./settings/mergeLists";
export { normalizePlate, type Plate } from "./vehicles/plate";
export { applyVisitCommand } from "./visits/applyVisitCommand";
export { visitCommand, type VisitCommand } from "./visits/commands";
export { upgradeVisit } from "./visits/upgradeVisit";
export type { VisitRefusal } from "./visits/refusals";
export { visitStanding, type VisitStanding } from "./visits/standing";
export { place, typedPlace, type Place } from "./places/place";
export { instant } from "./commands/fields";
export { isText, text } from "./wording/text";
export { visitState, type VisitState } from "./visits/state";
export { countOf } from "./wording/count";
export { showCustomer } from "./wording/customer";
export {
  addDays,
  dayOf,
  inZone,
  instantAt,
  minuteOfDay,
  showAge,
  showDate,
  showDay,
  showMoment,
  showTime,
} from "./wording/dates";
export { onMyWayText, receiptText } from "./wording/messages";
export { readMoney, showMoney } from "./wording/money";
export { nextActLabel } from "./workOrders/nextActLabel";
export { showWhole } from "./wording/number";
export { carMarks, showMiles, showVehicle } from "./wording/vehicle";
export { approvedJobs, openJobs, standingAnswer } from "./approvals/standing";
export { jobTotals, quoteTotalCents } from "./quoting/totals";
export { applyCommand } from "./workOrders/applyCommand";
export type { CommandContext } from "./commands/context";
export { Refusal } from "./commands/refusal";
export {
  clientWorkOrderCommand,
  ruleOf,
  workOrderCommand,
  type ClientWorkOrderCommand,
  type WorkOrderCommand,
  type WorkOrderCommandOf,
} from "./workOrders/commands";
export { nextAct, type NextAct } from "./workOrders/nextAct";
export { approvedParts, partStatus, quantityToBuy, quantityToCome, type PartStatus } from "./sourcing/partStatus";
export { REFUSAL_CODES, conflictWords, isRefusalCode, refusalWords, type RefusalCode } from "./workOrders/refusals";
export { ANSWERS, type Answer, type Job } from "./quoting/slice";
export type { Approval, Signature } from "./approvals/slice";
export type { Concern } from "./concerns/slice";
export type { Conflict } from "./conflicts/slice";
export { GRADES, type Finding, type Grade } from "./inspection/slice";
export type { Payment } from "./payments/slice";
export type { PartsOrder } from "./sourcing/slice";
export { workOrderState, type WorkOrderState } from "./workOrders/state";
export { upgradeCommand } from "./workOrders/upgradeCommand";
export { upgradeWorkOrder } from "./workOrders/upgradeWorkOrder";
export { fillGaps, gapsOf } from "./concerns/gaps";
export { priceToday } from "./quoting/priceToday";
export {
  SPEC_FIELDS,
  SPEC_KEYS,
  serviceInterval,
  specCorrection,
  specFault,
  specLines,
  specSheet,
  type ServiceInterval,
  type SpecCorrection,
  type SpecKey,
  type SpecLine,
  type SpecSheet,
} from "./vehicles/specs/specSheet";
export {
  odometerTrend,
  predictMiles,
  type OdometerReading,
  type OdometerTrend,
} from "./vehicles/odometer/odometerTrend";
export { MOST_MILES, odometerDoubt, readOdometer, type OdometerDoubt } from "./vehicles/odometer/odometerDoubt";
export { dueServices, intervalsFor, type DueService } from "./vehicles/service/dueServices";
export { lastService, type LastService, type PartUsed } from "./vehicles/service/lastService";
export { servicesDone } from "./vehicles/service/servicesDone";
export { compareTires, type TireComparison, type TireWarning } from "./vehicles/tire/compareTires";
export { readTireAge, type TireAge } from "./vehicles/tire/tireAge";
export { swapStakes, type SwapStakes } from "./workOrders/swap";
export { swapWords, type SwapChoice } from "./workOrders/swapWords";
export { LEDGER_VERSION, ledgerOf, type Ledger } from "./workOrders/ledger";
export { WAITS, waitingOf, type Wait, type Waiting } from "./workOrders/waiting";
