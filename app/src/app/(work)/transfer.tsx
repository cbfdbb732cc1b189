export { TransferScreen as default } from "../../transfer/TransferScreen";
