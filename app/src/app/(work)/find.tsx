export { FindScreen as default } from "../../search/FindScreen";
