import { CalcError } from "@mechanon/core/calc";

/** What a calculation gives, or what is wrong with what was typed, and in which field. */
export function tried<T>(
  calculate: () => T,
): { value: T; fault: null; path: "" } | { value: null; fault: string; path: string } {
  try {
    return { value: calculate(), fault: null, path: "" };
  } catch (error) {
    if (error instanceof CalcError) return { value: null, fault: error.message, path: error.path };
    throw error;
  }
}
