export { NewcomerSettings as default } from "../../../settings/NewcomerSettings";
