import type { CallOffReason } from "@mechanon/core";

/** Why a visit did not take place. */
export const CALL_OFF_WORDS: Record<CallOffReason, string> = {
  customer: "They called it off",
  nobodyThere: "Nobody there",
  us: "We cannot come",
  weather: "The weather",
  part: "A part is missing",
  unsafe: "Not safe to do there",
  other: "Something else",
};
