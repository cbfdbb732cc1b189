export { MessageSettings as default } from "../../../settings/MessageSettings";
