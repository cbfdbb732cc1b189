import { CalcError } from "../calc/error";

export type CalcAnswer =
  { ok: true; value: unknown } | { ok: false; error: { code: string; message: string; path: string } };

/** Runs one calculation on one JSON text; bad input comes back as data, never thrown. */
export function answerText(calculate: (input: unknown) => unknown, text: string): CalcAnswer {
  try {
    return { ok: true, value: calculate(parseJson(text)) };
  } catch (error) {
    if (error instanceof CalcError)
      return { ok: false, error: { code: error.code, message: error.message, path: error.path } };
    throw error;
  }
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new CalcError("not-json", "the input is not JSON", "");
  }
}
