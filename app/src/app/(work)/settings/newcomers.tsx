export { NewcomerEditor as default } from "../../../settings/NewcomerEditor";
