export { type Me, type OwnSession, demoAccount, me, signInBody } from "./access/routes";
export {
  type Customer,
  type CustomerFields,
  type LikelySame,
  customer,
  customerBody,
  customerChanges,
  customerFields,
  fieldsOf,
} from "./customers/customer";
export { type CustomerSheet, type CustomerVisit, customerSheet } from "./customers/sheet";
export { emailField, phoneField, textField } from "./fields";
export { type ReceiptView, receipt } from "./payments/routes";
export { MOST_PHOTO_BYTES, PHOTO_TYPES } from "./photos";
export { PROBLEM_STATUS, problem, type Problem, type ProblemCode } from "./problem";
export { MOST_JSON_BYTES, type Method, type Parsed, type Route, type Sent } from "./route";
export { routes } from "./routes";
export { type Found, type FoundCustomer } from "./search/routes";
export {
  MOST_PHRASES,
  type BusinessView,
  type LibraryView,
  type NewcomerReport,
  businessView,
  libraryView,
} from "./settings/routes";
export { type PartOffer, partOffer } from "./sourcing/routes";
export { type ChangeEvent, changeEvent } from "./system";
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
export { variants, vehicleBody, vehicleChanges } from "./vehicles/routes";
export {
  type ElsewhereReport,
  type KnownVehicle,
  type PutOffJob,
  type RecallReport,
  type VehiclePerson,
  type VehicleSheet,
  elsewhereReport,
  recallReport,
  vehicleSheet,
} from "./vehicles/sheet";
export { type Vehicle, type VehicleGuess, vehicle, vehicleGuess } from "./vehicles/vehicle";
export { type DayVisit, type VisitEnvelope, dayVisit, visitEnvelope } from "./visits/routes";
export {
  type CommandOutcome,
  type OpenRequest,
  type OpenWork,
  type OpenWorkGroup,
  type WorkOrderChange,
  type WorkOrderEnvelope,
  type WorkOrderView,
  commandOutcome,
  workOrderEnvelope,
  workOrderView,
} from "./workOrders/routes";
export { type WorkOrderSummary, workOrderSummary } from "./workOrders/summary";
