export { PEOPLE } from "./access";
export { CUSTOMERS, REGISTER_ONLY, type DemoCustomer } from "./customers";
export { LIBRARY } from "./library";
export { DIRECTORY, FAR_POSTCODES, POSTCODES, STREETS } from "./places";
export { ASK_SLUG } from "./requests";
export { BUSINESS, SETTINGS } from "./settings";
export { SUPPLIER } from "./sourcing";
export { WORK_ORDERS, type DemoVisit, type DemoWorkOrder } from "./workOrders";
