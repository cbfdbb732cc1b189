export { ServiceSettings as default } from "../../../settings/ServiceSettings";
