export { InspectionSettings as default } from "../../../settings/InspectionSettings";
