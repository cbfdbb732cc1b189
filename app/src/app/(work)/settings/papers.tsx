export { PaperSettings as default } from "../../../settings/PaperSettings";
