export { BUSINESS, PEOPLE, SETTINGS, STREETS } from "./business";
export { CUSTOMERS, REGISTER_ONLY, type DemoCar, type DemoCustomer } from "./customers";
export { DIRECTORY, FAR_POSTCODES, POSTCODES } from "./places";
export { LIBRARY } from "./library";
export { WORK_ORDERS, type DemoVisit, type DemoWorkOrder } from "./work";
export { SUPPLIER } from "./supplier";
