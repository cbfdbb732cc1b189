export { ConcernSettings as default } from "../../../settings/ConcernSettings";
