export { ReceiptSettings as default } from "../../../settings/ReceiptSettings";
