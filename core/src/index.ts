export { hasRight, rights, type Actor, type Right } from "./access/rights";
export { redactLibrary } from "./quoting/redact";
export { redactSettings } from "./settings/redactSettings";
export { redactWorkOrder } from "./workOrders/redactWorkOrder";
export {
  CONTACT_WAYS,
  CUSTOMER_KINDS,
  customerDetails,
  noAccessNotes,
  noDetails,
  upgradeDetails,
  type AccessNotes,
  type Contact,
  type ContactWay,
  type CustomerDetails,
  type CustomerKind,
  type CustomerPhone,
  type ServiceAddress,
  type Consent,
} from "./customers/details";
export { approvalLimitOf, approversOf } from "./customers/approvers";
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
export { knowAllCountries } from "./customers/phoneMetadata";
export {
  accessAt,
  accessLine,
  accessNotesAt,
  mainPhone,
  mainPlace,
  mayMail,
  mayText,
  messageWays,
  textPhone,
  type MessageWay,
} from "./customers/reach";
export { ERASED, visitWithoutPerson, workOrderWithoutPerson } from "./workOrders/withoutPerson";
export { streetKey } from "./customers/street";
export { withoutFormulaGuard } from "./transfer/cells";
export { guessByContents, isHeadless } from "./transfer/guessByContents";
export { IMPORT_FIELDS, type ImportField } from "./transfer/importFields";
export { readImportRow, type ImportedCar, type ImportedRow } from "./transfer/readImportRow";
export { differingMarks } from "./search/differingMarks";
export { matchMarks, type Mark } from "./search/matchMarks";
export { mayBeHeardAs, soundKeys } from "./text/soundKeys";
export { FEWEST_NEAR, isNearMiss, isOneEditAway, shapesOf } from "./search/nearMiss";
export { LOCAL_PHONE_DIGITS, readSearch, type SearchQuery } from "./search/searchQuery";
export {
  WORD_FIELDS,
  searchTerms,
  type KeyKind,
  type SearchTerms,
  type SearchedCustomer,
  type WordField,
} from "./search/searchTerms";
export { isFoundBy } from "./search/isFoundBy";
export { otherSpellings } from "./search/otherSpellings";
export { fold } from "./text/fold";
export { wordsOf } from "./text/words";
export { showPlace } from "./places/showPlace";
export { tenThousandths } from "./exact/decimal";
export { gradeFromMeasures, verdictOf, type MeasuredOn, type MeasureReason } from "./inspection/grade";
export {
  jobsToTie,
  offersForConcerns,
  offersForFindings,
  positionsOfCure,
  worstFirst,
  type Offer,
} from "./inspection/offers";
export {
  MEASURE_KINDS,
  MEASURE_UNITS,
  legalLimit,
  treadIn,
  type Measure,
  type MeasureKind,
} from "./inspection/measure";
export { measureDoubt, type MeasureDoubt } from "./inspection/measureDoubt";
export { unevenWear, type UnevenWear } from "./inspection/unevenWear";
export {
  needOfPoint,
  openPoints,
  pointById,
  pointsAtHand,
  pointsOfSheet,
  restThatCanBeSound,
  sheetsAtHand,
  type SheetAtHand,
} from "./inspection/sheetsAtHand";
export { checkedBefore, orderBefore } from "./inspection/checkedBefore";
export { appliesTo } from "./inspection/appliesTo";
export { inspectionSheet, type InspectionSheet } from "./inspection/sheet";
export { standingUnsafe } from "./inspection/standingUnsafe";
export { USUAL_POINTS, USUAL_SHEETS } from "./inspection/usualSheets";
export { upgradeInspection } from "./inspection/upgradeInspection";
export { TOPICS } from "./inspection/topics";
export { wearAhead, wearLimit, type WearAhead } from "./inspection/wearAhead";
export { type WearReading } from "./wear/wear";
export { picturesOf, photoIdsOf, pointPhotos } from "./pictures/picturesOf";
export { clipSeconds, isMp4, isStill, stripClip } from "./pictures/clip";
export { type Picture } from "./pictures/slice";
export { codeWords, findCodes } from "./troubleCodes/codeWords";
export { readCode } from "./troubleCodes/readCode";
export type { TroubleCode } from "./troubleCodes/slice";
export { BODY_TYPES, BODY_TYPE_TITLES, bodyTypeOf, type BodyType } from "./arrival/bodyTypes";
export { SAFETY_WORDS, safetyQuestions, type SafetyQuestion } from "./arrival/safetyQuestions";
export { LAMPS, MARK_KINDS, type DamageMark, type Lamp, type MarkKind } from "./arrival/slice";
export { concernStanding, concernsLeftOpen, openConcerns } from "./concerns/standing";
export { type ConcernAnswer } from "./concerns/slice";
export { balanceOf } from "./payments/balance";
export { type LaborLine, type LineSource, type PartLine, type QuoteLine } from "./quoting/quoteLine";
export {
  JOB_RIGHTS,
  libraryJob,
  positionsOfJob,
  usualPositions,
  type LibraryJob,
  type LibraryJobInput,
  type LineFit,
} from "./quoting/libraryJob";
export { fitJob, type FittedJob, type JobFit } from "./quoting/fitJob";
export { fittedAlone } from "./quoting/fittedAlone";
export type { LaborRate } from "./quoting/laborRate";
export { CHOSEN_RATE, isAfterHours } from "./quoting/standingRate";
export { creditedHours } from "./quoting/assigned";
export { personPay, type PersonPay } from "./quoting/personPay";
export { earnedByPerson } from "./quoting/withPay";
export { companionsOf } from "./quoting/companions";
export { LIBRARY_COLUMNS, jobsFromRows, rowsOfJobs } from "./quoting/libraryTable";
export { sameLibraryJob } from "./quoting/sameLibraryJob";
export { libraryChanges, libraryJobFault, readLibraryFile, writeLibraryFile } from "./quoting/libraryFile";
export { wholeOrderFromQuote } from "./quoting/wholeOrderFromQuote";
export { keptFromQuote } from "./quoting/keptFromQuote";
export { fitDiffers } from "./quoting/fitDiffers";
export type { QuoteSlice } from "./quoting/slice";
export { savedHours, shareSteps } from "./quoting/shareSteps";
export type { PricedQuote } from "./quoting/price/priceQuote";
export { receiptContent, receiptOf } from "./payments/receipt";
export { broughtJobs, isWholeOrder, type BroughtJobs } from "./quoting/broughtJobs";
export { isLedToBy } from "./quoting/diagnosisCredit";
export { creditsOf, priceWorkOrder } from "./quoting/priceWorkOrder";
export { visitFeeCents, VISIT_FEE_TITLES } from "./quoting/visitFee";
export { partsReady } from "./sourcing/partsReady";
export { orderCostCents } from "./sourcing/orderCost";
export { driveMinutes, drivenMiles } from "./schedule/driveMinutes";
export { findAddress } from "./roads/findAddress";
export { mapRoads, type MapBounds, type MapRoad } from "./roads/mapRoads";
export {
  readRoadFile,
  readRoadNetwork,
  ROAD_CLASSES,
  type RoadClass,
  type RoadFile,
  type RoadNetwork,
} from "./roads/roadNetwork";
export { roadTravel, type KeptDrives } from "./roads/roadTimes";
export { crewMember, isUsualCrewMember, isVanTooHigh, usualCrewMember, type CrewMember } from "./schedule/crewMember";
export { needsOfVisit, type VisitNeeds } from "./schedule/needsOfVisit";
export { offerTimes, type BusyTime, type DaysAround, type TimeOffer } from "./schedule/offerTimes";
export { moveBreaks, type MoveBreak, type MoveTo } from "./schedule/moveBreaks";
export type { Spot } from "./schedule/spot";
export { hoursOn } from "./schedule/crewMember";
export { daylightOf, type Daylight } from "./schedule/sunTimes";
export { hourOfWeather, weatherThen, type HourOfWeather, type WeatherThen } from "./schedule/weather";
export { placeFaults, type PlaceFault } from "./schedule/placeFaults";
export { businessSettings, upgradeSettings, type ListName, type BusinessSettings } from "./settings/businessSettings";
export type { Concern } from "./concerns/slice";
export { concernGap, concernPhrase, type ConcernGap, type ConcernPhrase } from "./concerns/phrase";
export { newcomerQuestion, newcomerSettings, type NewcomerSettings } from "./customers/newcomers";
export { inspectionPoint, pointFault, ONLY_KEY, REAR_BRAKES, type InspectionPoint } from "./inspection/point";
export { showMeasure } from "./inspection/showMeasure";
export type { MoneyRules } from "./quoting/moneyRules";
export {
  changesOfList,
  idOf,
  itemChanges,
  nameOf,
  wholeOf,
  withChanges,
  type ItemChange,
  type KeyOf,
} from "./settings/itemChanges";
export { laborSettings, laborSettingsOf, withLaborSettings, type LaborSettings } from "./settings/laborSettings";
export { LIST_LIMITS } from "./settings/listLimits";
export { mergeLists } from "./settings/mergeLists";
export { normalizePlate } from "./vehicles/plate";
export { applyVisitCommand } from "./visits/applyVisitCommand";
export { visitCommand, type VisitCommand } from "./visits/commands";
export { upgradeVisit } from "./visits/upgradeVisit";
export type { VisitRefusal } from "./visits/refusals";
export { slipsPast } from "./visits/slipsPast";
export { isRunning, visitStanding, type VisitStanding } from "./visits/standing";
export { JOB_CONDITIONS, type JobCondition } from "./places/conditions";
export { typedPlace, type Place } from "./places/place";
export { instant } from "./commands/fields";
export { text } from "./text/text";
export { visitState, type VisitState } from "./visits/state";
export {
  CALL_QUESTIONS,
  nothingArranged,
  PLACE_QUESTIONS,
  type Arranged,
  type CallQuestion,
  type PlaceQuestion,
} from "./visits/arranged";
export { CALL_OFF_REASONS, type CallOffReason } from "./visits/calledOff";
export { withKnownPlace } from "./visits/knownOfPlace";
export { isLateCallOff } from "./visits/isLateCallOff";
export { USUAL_VISITS, visitSettings, type CallRule, type VisitSettings } from "./visits/visitSettings";
export { arrangedLine, QUESTION_WORDS } from "./visits/arrangedWords";
export { PAPERS, type Paper } from "./papers/paper";
export {
  MOST_LOGO_BYTES,
  USUAL_PAPERS,
  paperSettings,
  ownersWords,
  type PaperSettings,
  type OwnersWords,
} from "./papers/paperSettings";
export { wordsOnPaper } from "./papers/wordsOnPaper";
export type { PaperBlock } from "./papers/paperBlock";
export { quotePaper } from "./papers/quotePaper";
export { mechanicsSheet } from "./papers/mechanicsSheet";
export { showTorque } from "./vehicles/specs/showTorque";
export { countOf } from "./text/countOf";
export { showCustomer } from "./customers/showCustomer";
export {
  addDays,
  addMonths,
  dayOf,
  inZone,
  instantAt,
  readTimeOfDay,
  showAge,
  showDate,
  showDay,
  isZone,
  minuteOfDay,
  minutesBetween,
  showMoment,
  showTime,
  showTimeOfDay,
} from "./dates/dates";
export { messageSettings, USUAL_MESSAGES, type MessageSettings } from "./messages/messageSettings";
export { template } from "./messages/messageKindSettings";
export { MESSAGE_KINDS, MESSAGE_RULES, SENT_BY_HAND, type MessageKind } from "./messages/messageKinds";
export { fillTemplate, TEMPLATE_FIELDS, type TemplateValues } from "./messages/template";
export { textLength } from "./messages/textLength";
export { replyMeaning } from "./messages/replyMeaning";
export { LANGUAGES, LANGUAGE_NAMES, LOCALES, language, languageOf, type Language } from "./languages/language";
export { showDateIn, showDayIn, showMomentIn, showTimeIn } from "./languages/momentIn";
export { creditWords, paymentWords } from "./customerPage/receiptWords";
export { say, sayFault, type WordValues } from "./customerWords/say";
export { ENGLISH, type WordKey } from "./customerWords/english";
export { SPANISH } from "./customerWords/spanish";
export { arrivesAt, changeUntil } from "./customerPage/changeUntil";
export { measureName } from "./customerPage/measureName";
export { saidOnPaper } from "./customerPage/saidOnPaper";
export { reachHint } from "./customerPage/reachHint";
export { foundSeen, workSeenByCustomer, type FoundSeen, type MeasureSeen } from "./customerPage/workSeenByCustomer";
export { workOfRequest } from "./requests/workOfRequest";
export { publishedWish, requestSettings, USUAL_REQUESTS, type RequestSettings } from "./requests/requestSettings";
export {
  MOST_PHOTOS,
  askedFields,
  askedTime,
  askedVisit,
  type AskedCar,
  type AskedTime,
  type AskedVisit,
} from "./requests/askedVisit";
export { readMoney, showMoney } from "./money/money";
export { nextActLabel } from "./workOrders/nextActLabel";
export { showWhole } from "./text/showWhole";
export { carMarks, showMiles, showVehicle } from "./vehicles/vehicleName";
export { approvedJobs, openJobs, standingAnswer } from "./approvals/standing";
export { askedCents, yesChange, type YesChange } from "./approvals/yesChange";
export { shownQuote, type ShownJob, type ShownQuote, type ShownWay } from "./approvals/shownQuote";
export {
  answerWith,
  chosenWay,
  sumShown,
  type ChosenAnswer,
  type ChosenAnswers,
  type ShownSum,
} from "./approvals/sumShown";
export { shownLineWords } from "./approvals/shownLineWords";
export { closedWithoutSale } from "./approvals/noSale";
export { digestOf } from "./approvals/digest";
export { linkFault, seal, sealedCopy, type Agreed, type LinkFault, type SealedCopy } from "./approvals/sealedCopy";
export { agreedByAnswer, agreedByPhoto, agreedByTakingBack } from "./approvals/agreedBy";
export { NO_SALE_REASONS, isSigned, signature, type Approval } from "./approvals/slice";
export { MOST_OTHER_WAYS, wayTitle } from "./quoting/otherWays";
export { partsThereAt } from "./sourcing/partsThere";
export { takingBack } from "./work/takeBack";
export { answerWords } from "./customerPage/answerWords";
export { shownQuoteOf } from "./customerPage/shownQuoteOf";
export { askedQuote, jobTotals, quoteTotalCents } from "./quoting/totals";
export { leastHours } from "./quoting/leastHours";
export { priceFromTo } from "./quoting/priceFromTo";
export { amountOf, showAmount } from "./quoting/amountOf";
export type { NewLine } from "./quoting/commandSchemas";
export { DISCOUNTED, type Discount, type QuoteDiscount } from "./quoting/discount";
export { explainedWorkOrder } from "./quoting/explainedWorkOrder";
export { KIND_TITLES, payerName, stepWords, unitPriceWords } from "./quoting/explainWords";
export { isSold } from "./quoting/editQuote";
export { CalcError } from "./calc/error";
export { markupDips, markupFault } from "./quoting/markupFault";
export {
  pricingSettings,
  pricingSettingsOf,
  withPricingSettings,
  type PricingSettings,
  type PricingTable,
} from "./settings/pricingSettings";
export { isSameNumber, stockByCode } from "./stock/stockByCode";
export { stockItem, type StockItem } from "./stock/stockItem";
export { stockPriceCents } from "./quoting/redactStock";
export { compareQuotes, type ComparedLine } from "./quoting/compareQuotes";
export { upgradeMessages } from "./messages/messageSettings";
export { isToCall, nudgeDue } from "./messages/nudges";
export { lineAnew } from "./quoting/lineAnew";
export { lawfulTaxes, taxPlaceOf } from "./quoting/lawfulTaxes";
export { leftPerHourCents, marginStanding, marginsOf, type Margin } from "./quoting/margin";
export { PART_CONDITIONS, PART_KINDS, PART_KIND_TITLES, type PartKind } from "./stock/partKind";
export { LINE_KINDS, type LineKind } from "./quoting/price/input";
export { unitPriceFromCost } from "./quoting/price/unitPrice";
export type { Explained } from "./quoting/price/explainQuote";
export type { DiscountOffer, TaxPlace } from "./quoting/pricingRules";
export { standingTable, tableTitle } from "./quoting/standingTable";
export { underRules } from "./quoting/underRules";
export { applyCommand } from "./workOrders/applyCommand";
export type { CommandContext } from "./commands/context";
export type { WorkOrderContext } from "./workOrders/context";
export { Refusal } from "./commands/refusal";
export {
  clientWorkOrderCommand,
  ruleOf,
  type ClientWorkOrderCommand,
  type WorkOrderCommand,
} from "./workOrders/commands";
export { nextAct, type NextAct } from "./workOrders/nextAct";
export { approvedParts, partStatus, quantityToBuy, quantityToCome, type PartStatus } from "./sourcing/partStatus";
export { REFUSAL_CODES, conflictWords, isRefusalCode, refusalWords, type RefusalCode } from "./workOrders/refusals";
export { ANSWERS, type Answer, type Job } from "./quoting/slice";
export type { Signature } from "./approvals/slice";
export { type FieldChanges, changedFields, makeChanges } from "./conflicts/fieldChanges";
export type { Conflict } from "./conflicts/slice";
export { BAD_GRADES, GRADES, isBad, type Finding, type Grade } from "./inspection/slice";
export type { PartsOrder } from "./sourcing/slice";
export { workOrderState, type WorkOrderState } from "./workOrders/state";
export { NOTHING_SEEN } from "./workOrders/openWorkOrder";
export { upgradeCommand } from "./workOrders/upgradeCommand";
export { upgradeWorkOrder } from "./workOrders/upgradeWorkOrder";
export { fillGaps, gapsOf } from "./concerns/gaps";
export { priceToday } from "./quoting/priceToday";
export {
  SPEC_FIELDS,
  SPEC_KEYS,
  serviceInterval,
  specCorrection,
  specChoices,
  specFault,
  specLines,
  specSheet,
  type ServiceInterval,
  type SpecCorrection,
  type SpecKey,
  type SpecSheet,
} from "./vehicles/specs/specSheet";
export { odometerTrend, predictMiles, type OdometerReading } from "./vehicles/odometer/odometerTrend";
export { odometerDoubt, readOdometer, type OdometerDoubt } from "./vehicles/odometer/odometerDoubt";
export { dueServices, intervalsFor, type DueService } from "./servicing/dueServices";
export { partName } from "./quoting/partName";
export { libraryPart } from "./quoting/libraryPart";
export { partsForLabor } from "./quoting/partsForLabor";
export { lastService, otherPartLastTime, type LastService, type PartUsed } from "./servicing/lastService";
export { servicesDone } from "./servicing/servicesDone";
export { compareTires, type TireComparison, type TireWarning } from "./vehicles/tire/compareTires";
export { readTireAge, type TireAge } from "./vehicles/tire/tireAge";
export { swapStakes, type SwapStakes } from "./workOrders/swap";
export { swapWords, type SwapChoice } from "./workOrders/swapWords";
export { LEDGER_VERSION, ledgerOf, type Ledger } from "./workOrders/ledger";
export { listed } from "./workOrders/listed";
export { WAITS, type Wait } from "./workOrders/waiting";
export { ownersInterval } from "./servicing/ownersInterval";

export * from "./vehicles/build";
export * from "./laborGuide/guide";
export * from "./laborGuide/position";
export * from "./laborGuide/carFacts";
export * from "./laborGuide/readGuide";
export * from "./laborGuide/resolveOperation";
