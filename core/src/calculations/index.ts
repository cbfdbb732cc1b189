export { answerText } from "./answer";
export { calculations } from "./calculations";
export { CALC_ERROR_CODES, CalcError } from "../calc/error";
