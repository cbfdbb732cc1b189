export { RequestSettings as default } from "../../../settings/RequestSettings";
