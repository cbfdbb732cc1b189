import { z } from "zod";
import { text } from "../text/text";

/** Why a visit did not take place. */
export const CALL_OFF_REASONS = ["customer", "nobodyThere", "us", "weather", "part", "unsafe", "other"] as const;
export type CallOffReason = (typeof CALL_OFF_REASONS)[number];

/** Why a visit did not take place, with what more was said. */
export const calledOff = z.object({ why: z.enum(CALL_OFF_REASONS), words: text(300) });
