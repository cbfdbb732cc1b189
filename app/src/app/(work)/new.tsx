export { NewWork as default } from "../../newWork/NewWork";
