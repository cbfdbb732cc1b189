export { PaySettings as default } from "../../../settings/PaySettings";
