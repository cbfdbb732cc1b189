export { Me as default } from "../../session/Me";
