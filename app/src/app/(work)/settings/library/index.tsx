export { LibrarySettings as default } from "../../../../settings/LibrarySettings";
