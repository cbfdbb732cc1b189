export { RateSettings as default } from "../../../settings/RateSettings";
