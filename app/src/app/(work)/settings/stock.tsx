export { StockSettings as default } from "../../../settings/StockSettings";
