import { WaitingScreen } from "../../sync/WaitingScreen";

export default WaitingScreen;
