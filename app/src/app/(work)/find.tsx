export { FindScreen as default } from "../../find/FindScreen";
