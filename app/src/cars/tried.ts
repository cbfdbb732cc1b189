import { CalcError } from "@mechanon/core/calc";

/** What a calculation gives, or what is wrong with what was typed. */
export function tried<T>(calculate: () => T): { value: T; fault: null } | { value: null; fault: string } {
  try {
    return { value: calculate(), fault: null };
  } catch (error) {
    if (error instanceof CalcError) return { value: null, fault: error.message };
    throw error;
  }
}
