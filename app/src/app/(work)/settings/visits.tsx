export { VisitSettings as default } from "../../../settings/VisitSettings";
