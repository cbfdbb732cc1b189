export { CrewSettings as default } from "../../../settings/CrewSettings";
