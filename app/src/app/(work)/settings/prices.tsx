export { PricingSettings as default } from "../../../settings/PricingSettings";
