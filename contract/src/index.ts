export { stampOf, type WorkOrderStamp } from "./device/routes";
export { type Me, type OwnSession, me, signInBody } from "./access/routes";
export {
  type Customer,
  type CustomerFields,
  type LikelySame,
  customerBody,
  customerChanges,
  customerFields,
  fieldsOf,
} from "./customers/customer";
export { type CustomerSheetView, type CustomerVisit } from "./customers/sheet";
export { emailField, phoneField, textField } from "./fields";
export { type ReceiptView, receiptPageRoutes } from "./payments/receiptPage";
export { type Message, type MessageStatus } from "./messages/message";
export { type MessageNews, type OpenMessage, type QuoteToCall } from "./messages/routes";
export { PHOTO_TYPES, type MediaType } from "./photos/photoTypes";
export { MOST_CLIP_SECONDS, MOST_PHOTO_BYTES } from "./photos/routes";
export { OLDEST_PROTOCOL, PERSON_HEADER, PROTOCOL, PROTOCOL_HEADER } from "./protocol";
export { PROBLEM_STATUS, problem, type Problem, type ProblemCode } from "./problem";
export { MOST_JSON_BYTES, type Parsed, type Route, type Sent } from "./route";
export { routes } from "./routes";
export { type Found, type FoundCustomer } from "./search/routes";
export {
  type BusinessView,
  type LibraryChange,
  type LibraryFileAnswer,
  type LibraryView,
  type NewcomerReport,
  businessView,
  libraryView,
} from "./settings/routes";
export { type PartOffer, type UsedPart } from "./sourcing/routes";
export { type ChangeEvent, changeEvent } from "./system/routes";
export {
  DOUBLE_POLICIES,
  ENCODINGS,
  MOST_IMPORT_BYTES,
  ROW_OUTCOMES,
  type ImportRowView,
  type ImportView,
  type RowOutcome,
  importView,
} from "./transfer/routes";
export { vehicleBody, vehicleChanges } from "./vehicles/routes";
export {
  type ElsewhereReport,
  type KnownVehicle,
  type PutOffJob,
  type RecallReport,
  type VehiclePerson,
  type VehicleSheetView,
  elsewhereReport,
  recallReport,
} from "./vehicles/sheet";
export { type Vehicle, type VehicleGuess } from "./vehicles/vehicle";
export { type AskPage, type StrangersCar, askPageRoutes, strangersCar } from "./requests/askPage";
export { type RequestMatches, type VisitRequest } from "./requests/routes";
export { type CustomerPage, type PageOrder, type PageVisit, customerPageRoutes } from "./customerPages/customerPage";
export { type NewTime, newTimePageRoutes } from "./schedule/newTimePage";
export { type MoveAsk } from "./schedule/routes";
export { type DayVisit, dayVisit } from "./visits/dayVisit";
export { visitEnvelope } from "./visits/routes";
export {
  type CommandOutcome,
  type OpenRequest,
  type OpenWorkView,
  type OpenWorkGroup,
  type WorkOrderChange,
  workOrderView,
  type KnownOfCar,
  type AgreedCopy,
  type WorkOrderView,
  workOrderEnvelope,
} from "./workOrders/routes";
export { type WorkOrderSummary } from "./workOrders/summary";
