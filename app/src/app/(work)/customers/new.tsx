export { NewCustomer as default } from "../../../customers/NewCustomer";
