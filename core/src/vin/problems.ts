/** Closed list of what can be wrong with a VIN. */
export type VinProblemCode =
  | "wrong-length"
  | "illegal-character"
  | "check-digit"
  | "check-digit-note"
  | "unknown-maker"
  | "unknown-year"
  | "either-year"
  | "unknown-model";

export interface VinProblem {
  code: VinProblemCode;
  message: string;
  /** 1-based place in the VIN; null when no single character is at fault. */
  position: number | null;
}

const LOOK_ALIKE_OF: Readonly<Record<string, string>> = { I: "1", O: "0", Q: "0" };

/** Too few or too many of 17 characters. @param length - characters typed. */
export function wrongLength(length: number): VinProblem {
  const difference = Math.abs(17 - length);
  const side = length < 17 ? "missing" : "too many";
  return {
    code: "wrong-length",
    message: `A VIN has 17 characters; this has ${length}, ${difference} ${side}.`,
    position: null,
  };
}

/** I, O, Q or a sign, with what it may be. @param position - from 1. @see ISO 3779 */
export function illegalCharacter(character: string, position: number): VinProblem {
  const alike = LOOK_ALIKE_OF[character];
  const hint = alike ? `; it may be ${alike}` : "";
  return {
    code: "illegal-character",
    message: `Character ${position} is "${character}", which no VIN has${hint}.`,
    position,
  };
}

/** Position 9 does not check. @param binding - whether where the car comes from has check digits. @see 49 CFR 565.15 */
export function wrongCheckDigit(actual: string, expected: string, binding: boolean): VinProblem {
  return binding
    ? {
        code: "check-digit",
        message: `Character 9 is "${actual}" but the others ask for "${expected}": one character is misread.`,
        position: 9,
      }
    : {
        code: "check-digit-note",
        message: `Character 9 is "${actual}", not "${expected}"; outside North America that is no error.`,
        position: 9,
      };
}

/** @param wmi - the first three characters, which stand for the maker. @see ISO 3780 */
export function unknownMaker(wmi: string): VinProblem {
  return { code: "unknown-maker", message: `No maker is known for "${wmi}".`, position: 1 };
}

export const UNKNOWN_YEAR: VinProblem = {
  code: "unknown-year",
  message: "Character 10 gives no model year.",
  position: 10,
};
/** A heavy vehicle's VIN does not say which thirty years it is of, and the data knows both. */
export function eitherYear(taken: number, other: number): VinProblem {
  return {
    code: "either-year",
    message: `This VIN stands for ${taken} or ${other}; ${taken} was taken. Check the year on the car.`,
    position: 10,
  };
}
export const UNKNOWN_MODEL: VinProblem = {
  code: "unknown-model",
  message: "The data does not know this model; pick it by hand.",
  position: null,
};
