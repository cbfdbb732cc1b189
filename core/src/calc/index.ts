export { answerText, type CalcAnswer } from "./answer";
export { calculations } from "./calculations";
export { CALC_ERROR_CODES, CalcError, type CalcErrorCode } from "./error";
