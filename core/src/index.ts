export { RIGHTS, hasRight, right, type Actor, type Right } from "./access/rights";
export { redactLibrary, redactSettings, redactWorkOrder } from "./access/redact";
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
export { ERASED, visitWithoutPerson, workOrderWithoutPerson } from "./customers/withoutPerson";
export { soundsLike } from "./customers/soundsLike";
export { streetKey } from "./customers/street";
export { IMPORT_FIELDS, guessColumns, type ImportField } from "./transfer/importFields";
export { readImportRow, type ImportedCar, type ImportedRow } from "./transfer/readImportRow";
export { matchMarks, type Mark } from "./search/matchMarks";
export { FEWEST_NEAR, isNearMiss, isOneEditAway, shapesOf } from "./search/nearMiss";
export { LOCAL_PHONE_DIGITS, phoneKeys, readSearch, vinKey, type SearchQuery } from "./search/searchQuery";
export {
  KEY_KINDS,
  WORD_FIELDS,
  searchTerms,
  type KeyKind,
  type SearchTerms,
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
export { normalizePlate, type Plate } from "./vehicles/plate";
export { applyVisitCommand } from "./visits/applyVisitCommand";
export { visitCommand, type VisitCommand } from "./visits/commands";
export { visitStanding, type VisitStanding } from "./visits/standing";
export { place, visitState, type Place, type VisitState } from "./visits/state";
export { countOf } from "./wording/count";
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
export { nextActLabel } from "./wording/nextActLabel";
export { conflictWords, refusalWords } from "./wording/refusals";
export { carMarks, showMiles, showVehicle } from "./wording/vehicle";
export { approvedJobs, jobTotals, openJobs, quoteTotalCents, standingAnswer } from "./workOrders/answers";
export { applyCommand } from "./workOrders/applyCommand";
export type { CommandContext } from "./workOrders/commandContext";
export {
  clientWorkOrderCommand,
  workOrderCommand,
  type ClientWorkOrderCommand,
  type WorkOrderCommand,
  type WorkOrderCommandOf,
} from "./workOrders/commands";
export { nextAct, type NextAct } from "./workOrders/nextAct";
export { approvedParts, orderOf, partStatus, type PartStatus } from "./workOrders/partStatus";
export { REFUSAL_CODES, Refusal, type RefusalCode } from "./workOrders/refusal";
export {
  ANSWERS,
  GRADES,
  workOrderState,
  type Answer,
  type Approval,
  type Concern,
  type Conflict,
  type Finding,
  type Grade,
  type Job,
  type PartsOrder,
  type Payment,
  type Signature,
  type WorkOrderState,
} from "./workOrders/state";
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
export { dueServices, intervalsFor, type DueService } from "./vehicles/service/dueServices";
export { lastService, type LastService, type PartUsed } from "./vehicles/service/lastService";
export { servicesDone } from "./vehicles/service/servicesDone";
export { compareTires, type TireComparison, type TireWarning } from "./vehicles/tire/compareTires";
export { readTireAge, type TireAge } from "./vehicles/tire/tireAge";
export { swapStakes, type SwapStakes } from "./workOrders/swap";
export { swapWords, type SwapChoice } from "./wording/swapWords";
export { WAITS, waitingOf, type Wait, type Waiting } from "./workOrders/waiting";
