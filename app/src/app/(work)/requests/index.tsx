export { RequestsScreen as default } from "../../../requests/RequestsScreen";
