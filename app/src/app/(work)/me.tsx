export { MeScreen as default } from "../../session/MeScreen";
